package lynchet.core.mat;

import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * A way of drilling that a coach takes into a class: alone, in parts, whole, or as positional rounds.
 *
 * @param kind what happens: {@code WARM_UP} for solo movement, part or whole drill, positional rounds …
 * @param technique what is drilled; null for positional rounds
 * @param fromStep first step drilled, 1 the first of the technique; 0: all of it
 * @param toStep last step drilled; 0: all of it
 * @param start id of the position where it starts; null where it starts alone
 * @param resetWhen what ends a repetition and brings both back to the start; may be null
 * @param watch the one thing to watch
 */
public record DrillShape(
        String id,
        @Most(100) String name,
        Block.Kind kind,
        @Nullable String technique,
        int fromStep,
        int toStep,
        @Nullable String start,
        List<@Most(120) String> resetWhen,
        @Most(200) @Nullable String watch,
        int minutes,
        @Nullable Dose dose) {

    public DrillShape {
        Require.id("a drill", id);
        Require.text("the name of this drill", name);
        Require.present("the kind of this drill", kind);
        Require.within("the first step of this drill", fromStep, 0, 20);
        Require.within("the last step of this drill", toStep, fromStep, 20);
        resetWhen = Require.list(resetWhen);
        Require.within("the minutes of this drill", minutes, 1, 60);
        if (kind == Block.Kind.POSITIONAL_ROUNDS && (start == null || resetWhen.isEmpty())) {
            throw new IllegalArgumentException(
                    "this drill is played from a position, so it says where it starts " + "and what starts it again");
        }
    }

    /** The same drill of another technique. */
    public DrillShape of(String otherTechnique) {
        return new DrillShape(id, name, kind, otherTechnique, fromStep, toStep, start, resetWhen, watch, minutes, dose);
    }
}
