package lynchet.core.term.cycle;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;

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
        @Usual("0") int minutes,
        @Most(ThemeCycle.MOST_WEEKS) List<Theme> themes) {

    /** A cycle has no more weeks. */
    public static final int MOST_WEEKS = 52;

    /**
     * What one week is about.
     *
     * @param name as the week is called
     * @param subjects ids of the techniques and chains shown in it, in the coach's order; what is named twice stands there once
     */
    public record Theme(@Most(60) String name, @Most(30) List<String> subjects) {
        public Theme {
            Require.text("the name of a theme", name);
            subjects = Require.list(subjects).stream().distinct().toList();
        }
    }

    public ThemeCycle {
        Require.id("a cycle", id);
        Require.present("the track of this cycle", track);
        Require.present("the first day of this cycle", from);
        Require.within("the minutes of technique of this cycle", minutes, 0, 240);
        themes = Require.list(themes);
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
                                        .map(one -> one.equals(other) ? instead : one)
                                        .toList()))
                        .toList());
    }

    /** Minutes of technique that a class of so many minutes bears. */
    public int bears(int classMinutes) {
        return minutes == 0 ? classMinutes / 2 : Math.min(minutes, classMinutes);
    }
}
