package lynchet.core.people;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * One condition of a promotion.
 *
 * @param have what is there, in its unit
 * @param need what is asked for, in the same unit
 * @param missing what is missing, in words; empty when met
 * @param by when it will be met by itself, at a guess; null when met or when it needs somebody's work
 */
public record Condition(
        Code code,
        String label,
        boolean met,
        String have,
        String need,
        String missing,
        @Nullable LocalDate by) {

    /** What is asked. */
    public enum Code {
        CLASSES,
        TIME_IN_RANK,
        AGE,
        SYLLABUS,
        FALLS,
        NO_HOLD,
        NO_RESTRICTION,
        MEMBERSHIP,
        CHART,
        CONDUCT
    }
}
