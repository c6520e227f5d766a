package lynchet.core.map;

import java.util.List;
import lynchet.core.card.Need;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * An edge of the map: from a position, with a technique, to a position or a tap.
 *
 * @param when id of the reaction it answers; null: on my own initiative
 * @param to a position id or {@link #TAP}
 * @param partial where a throw or sweep that half works lands; may be null
 * @param ifStopped where it leaves me when it fails without a named reaction; null: where I was
 */
public record Link(
        String id,
        String from,
        String technique,
        @Nullable String version,
        @Nullable String when,
        List<Need> needs,
        List<MeantFor> meantFor,
        String to,
        @Nullable String partial,
        @Nullable String ifStopped,
        @Most(400) @Nullable String note,
        @Usual("false") boolean retired) {

    /** The end of the fight in my favour. */
    public static final String TAP = "TAP";

    /** For which match-up or build a link is meant; none: for everybody. */
    public enum MeantFor {
        SAME,
        OPPOSITE,
        PARTNER_TALLER,
        PARTNER_SHORTER,
        PARTNER_HEAVIER,
        PARTNER_LIGHTER
    }

    public Link {
        Require.id("a link", id);
        Require.present("the start of this link", from);
        Require.present("the technique of this link", technique);
        Require.present("the end of this link", to);
        needs = Require.list("the needs of this link", needs);
        meantFor = Require.list("what this link is meant for", meantFor);
    }

    /** The same link, retired. */
    public Link asRetired() {
        return new Link(id, from, technique, version, when, needs, meantFor, to, partial, ifStopped, note, true);
    }

    /** The same link done with another technique, in a version of it; {@code version} null: in none. */
    public Link with(String otherTechnique, String otherVersion) {
        return new Link(
                id, from, otherTechnique, otherVersion, when, needs, meantFor, to, partial, ifStopped, note, retired);
    }

    /** The same link with other needs. */
    public Link withNeeds(List<Need> others) {
        return new Link(id, from, technique, version, when, others, meantFor, to, partial, ifStopped, note, retired);
    }

    public boolean endsInTap() {
        return TAP.equals(to);
    }

    public boolean answersReaction() {
        return when != null;
    }
}
