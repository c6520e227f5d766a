package lynchet.core.game;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Side;
import lynchet.core.people.Fading;
import lynchet.core.people.StudentState;
import org.jspecify.annotations.Nullable;

/**
 * How a student's practice is spread over right and left, counted in effective sessions of techniques that have sides.
 *
 * @param right sessions on the right, over all techniques
 * @param left sessions on the left
 * @param weaker the side that is left out over all of it; null: neither, or too little was done to say
 * @param oneSided techniques drilled on one side and hardly on the other, the most practised first
 */
public record Lopsided(int right, int left, @Nullable Side weaker, List<OneSide> oneSided) {

    /** On the weaker side less than this share of all. */
    private static final double HARDLY = 0.2;

    /** One technique: {@code weaker} is the side that is left out. */
    public record OneSide(String technique, int right, int left, Side weaker) {}

    public static Lopsided of(GrapplingMap map, StudentState state) {
        int right = 0;
        int left = 0;
        List<OneSide> oneSided = new ArrayList<>();
        for (Technique technique : map.techniques()) {
            if (!technique.sided()) {
                continue;
            }
            int onRight = sessions(state, technique.id(), Side.RIGHT);
            int onLeft = sessions(state, technique.id(), Side.LEFT);
            right += onRight;
            left += onLeft;
            int both = onRight + onLeft;
            if (both >= Fading.DRILLED_AFTER && Math.min(onRight, onLeft) < HARDLY * both) {
                oneSided.add(new OneSide(technique.id(), onRight, onLeft, onRight < onLeft ? Side.RIGHT : Side.LEFT));
            }
        }
        oneSided.sort(Comparator.comparingInt((OneSide one) -> -one.right() - one.left())
                .thenComparing(OneSide::technique));
        return new Lopsided(right, left, weaker(right, left), List.copyOf(oneSided));
    }

    private static int sessions(StudentState state, String technique, Side side) {
        return state.on(technique, side).map(Fading::sessions).orElse(0);
    }

    private static @Nullable Side weaker(int right, int left) {
        int both = right + left;
        if (both < 4 * Fading.DRILLED_AFTER || Math.min(right, left) >= HARDLY * both) {
            return null;
        }
        return right < left ? Side.RIGHT : Side.LEFT;
    }
}
