package lynchet.core.term.cycle;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import lynchet.core.rule.Most;
import lynchet.core.rule.Say;
import lynchet.core.term.TermPlan;
import org.jspecify.annotations.Nullable;

/**
 * Theme weeks that come round again and again, so that somebody new may begin in any of them.
 *
 * @param track id of the track
 * @param from a day of the week with which the first round begins
 * @param minutes of technique in a class, 0 to 240; 0: half of the class
 * @param themes in their order; each lasts a week
 */
public record ThemeCycle(
        String id,
        String track,
        LocalDate from,
        int minutes,
        @Most(52) List<Theme> themes) {

    /**
     * What one week is about.
     *
     * @param name as the week is called
     * @param subjects what is shown in it, in the coach's order
     */
    public record Theme(@Most(60) String name, @Most(30) List<Subject> subjects) {
        public Theme {
            Say.text("the name of a theme", name);
            subjects = Say.list(subjects);
            Set<String> seen = new HashSet<>();
            for (Subject subject : subjects) {
                if (!seen.add(subject.id())) {
                    throw new IllegalArgumentException("theme " + name + " names " + subject.id() + " twice");
                }
            }
        }
    }

    /** A technique, or a chain: one of both. */
    public record Subject(
            @Nullable String technique, @Nullable String chain) {
        public Subject {
            if ((technique == null) == (chain == null)) {
                throw new IllegalArgumentException("what a theme shows is a technique or a chain, and not both");
            }
        }

        /** The technique or the chain, as practice and marks name it. */
        String id() {
            return technique == null ? String.valueOf(chain) : technique;
        }

        /** The same as something to be taught. */
        TermPlan.Goal goal() {
            return new TermPlan.Goal(technique, chain, true, null, false);
        }
    }

    public ThemeCycle {
        Say.id("a cycle", id);
        Say.there("the track of cycle " + id, track);
        Say.there("the first day of cycle " + id, from);
        Say.within("the minutes of technique of cycle " + id, minutes, 0, 240);
        themes = Say.list(themes);
    }

    /** The same cycle about another technique where it was about one. */
    public ThemeCycle about(String other, String instead) {
        return new ThemeCycle(
                id,
                track,
                from,
                minutes,
                themes.stream()
                        .map(theme -> new Theme(
                                theme.name(),
                                theme.subjects().stream()
                                        .map(one -> other.equals(one.technique()) ? new Subject(instead, null) : one)
                                        .distinct()
                                        .toList()))
                        .toList());
    }

    /** Minutes of technique that a class of so many minutes bears. */
    public int bears(int classMinutes) {
        return minutes == 0 ? classMinutes / 2 : Math.min(minutes, classMinutes);
    }
}
