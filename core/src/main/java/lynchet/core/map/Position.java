package lynchet.core.map;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.card.Jacket;
import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * Where one of the two stands, seen from that one: a node of the map.
 *
 * @param control −3 to +3 in steps of 0.1, who leads; +3: I finish at will
 * @param controlIn a control of its own in a ruleset, by ruleset id
 * @param pin whether this is a hold-down that a ruleset may count
 * @param fewWaysBecause why there are fewer than two ways out, where that is meant
 */
public record Position(
        String id,
        String name,
        List<String> aliases,
        double control,
        Map<String, Double> controlIn,
        Jacket jacket,
        @Usual("false") boolean pin,
        @Most(400) String summary,
        List<@Most(300) String> details,
        List<@Most(300) String> cautions,
        @Most(300) @Nullable String fewWaysBecause,
        @Usual("false") boolean retired) {

    public Position {
        Require.id("a position", id);
        Require.text("the name of this position", name);
        aliases = Require.texts("an alias of this position", aliases);
        control = step("this position", control);
        controlIn = controlIn == null ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(controlIn));
        controlIn.forEach((ruleset, value) -> step("this position under one ruleset", value));
        jacket = jacket == null ? Jacket.EITHER : jacket;
        summary = summary == null ? "" : summary;
        details = Require.texts("a detail of this position", details);
        cautions = Require.texts("a caution of this position", cautions);
    }

    /** The same position, retired. */
    public Position asRetired() {
        return new Position(
                id, name, aliases, control, controlIn, jacket, pin, summary, details, cautions, fewWaysBecause, true);
    }

    /** Who leads here under a ruleset, which may give a value of its own; null means no ruleset. */
    public double controlUnder(Ruleset ruleset) {
        return ruleset == null ? control : controlIn.getOrDefault(ruleset.id(), control);
    }

    private static double step(String what, double control) {
        double tenths = control * 10;
        if (!(Math.abs(control) <= 3) || Math.abs(tenths - Math.rint(tenths)) > 1e-9) {
            throw new Nonsense(
                    Nonsense.Rule.CONTROL,
                    "the control of " + what + " must be from -3 to 3 in steps of 0.1, not " + control);
        }
        return Math.rint(tenths) / 10 + 0.0;
    }
}
