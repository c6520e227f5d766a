package lynchet.core.map;

import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * What the partner does, at a position of mine or in answer to a link I attempt.
 *
 * @param link the link I attempt; null when it happens at a position
 * @param position the position I am in; null when it answers a link
 * @param leaves the position where I am then
 * @param attack the partner's link that this reaction is, when it is itself an attack; may be null
 * @param fault the fault of mine that invites it; may be null
 */
public record Reaction(
        String id,
        @Nullable String link,
        @Nullable String position,
        @Most(160) String text,
        Phase phase,
        Manner manner,
        String leaves,
        @Nullable String attack,
        @Nullable String fault,
        @Usual("false") boolean retired) {

    public Reaction {
        Require.id("a reaction", id);
        if ((link == null) == (position == null)) {
            throw new Nonsense(
                    Nonsense.Rule.REACTION_PLACE, "this reaction belongs to a link or to a position, one of the two");
        }
        Require.text("the text of this reaction", text);
        phase = phase == null ? Phase.ENTRY : phase;
        manner = manner == null ? Manner.OTHER : manner;
        Require.present("where this reaction leaves", leaves);
    }

    /** The same reaction, retired. */
    public Reaction asRetired() {
        return new Reaction(id, link, position, text, phase, manner, leaves, attack, fault, true);
    }

    /** The same reaction to another link, as another attack, invited by another fault. */
    public Reaction with(String otherLink, String otherAttack, String otherFault) {
        return new Reaction(id, otherLink, position, text, phase, manner, leaves, otherAttack, otherFault, retired);
    }
}
