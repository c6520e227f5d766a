package lynchet.core.term.cycle;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.rule.Phrases;
import lynchet.core.term.PlannedClasses.Stands;
import lynchet.core.term.Teaching;
import lynchet.core.term.cycle.ThemeCycle.Theme;

/**
 * What is worth knowing of a theme week. None of it forbids anything.
 *
 * @param theme place of the theme, from 0
 * @param subject what it is about; empty: the whole week
 * @param sentence in a coach's words
 */
public record ThemeNote(Rule rule, int theme, String subject, String sentence) {

    /** What it is about. */
    public enum Rule {
        /** The week has nothing in it. */
        EMPTY,
        /** More than its classes bear. */
        FULL,
        /** It builds on what another week shows: somebody who begins here has not met it. */
        BUILDS,
        /** More falls in a class than it bears. */
        FALLS
    }

    /**
     * Everything worth knowing, theme by theme.
     *
     * @param minutes of technique that each class of a usual week bears
     * @param mostFalls falls that a class bears
     */
    public static List<ThemeNote> of(ThemeCycle cycle, List<Integer> minutes, Teaching teaching, double mostFalls) {
        List<ThemeNote> notes = new ArrayList<>();
        Map<String, Integer> shownIn = new HashMap<>();
        List<Theme> themes = cycle.themes();
        for (int n = 0; n < themes.size(); n++) {
            int at = n;
            themes.get(n).subjects().forEach(one -> shownIn.putIfAbsent(one, at));
        }
        for (int n = 0; n < themes.size(); n++) {
            int number = n;
            Theme theme = themes.get(n);
            if (theme.subjects().isEmpty()) {
                notes.add(new ThemeNote(Rule.EMPTY, n, "", theme.name() + " has nothing in it yet."));
                continue;
            }
            Portions portions =
                    Portions.of(theme, themes.get((n + themes.size() - 1) % themes.size()), minutes, 0, teaching);
            if (!minutes.isEmpty() && !portions.left().isEmpty()) {
                notes.add(full(n, theme, portions, minutes, teaching));
            }
            notes.addAll(builds(n, theme, shownIn, themes, teaching));
            portions.classes().stream()
                    .mapToDouble(stands -> falls(stands, teaching))
                    .filter(falls -> falls > mostFalls)
                    .max()
                    .ifPresent(falls -> notes.add(new ThemeNote(
                            Rule.FALLS,
                            number,
                            "",
                            "%s: %.0f falls in one class, %.0f are enough."
                                    .formatted(theme.name(), falls, mostFalls))));
        }
        return notes;
    }

    private static double falls(List<Stands> stands, Teaching teaching) {
        return stands.stream().mapToDouble(one -> teaching.falls(one.goal())).sum();
    }

    private static ThemeNote full(int n, Theme theme, Portions portions, List<Integer> minutes, Teaching teaching) {
        int takes = theme.subjects().stream()
                .mapToInt(one -> teaching.first(teaching.goal(one)))
                .sum();
        int bear = minutes.stream().mapToInt(Integer::intValue).sum();
        List<String> left = portions.left().stream()
                .map(one -> teaching.name(teaching.goal(one)))
                .toList();
        return new ThemeNote(
                Rule.FULL,
                n,
                "",
                "%s takes %d minutes of %d in %s: no room for %s."
                        .formatted(
                                theme.name(),
                                takes,
                                bear,
                                Phrases.count(minutes.size(), "class", "classes"),
                                Phrases.and(left)));
    }

    private static List<ThemeNote> builds(
            int n, Theme theme, Map<String, Integer> shownIn, List<Theme> themes, Teaching teaching) {
        List<ThemeNote> notes = new ArrayList<>();
        for (String subject : theme.subjects()) {
            for (String need : Groups.needs(subject, teaching).stream().sorted().toList()) {
                Integer in = shownIn.get(need);
                if (in != null && theme.subjects().stream().noneMatch(one -> one.equals(need))) {
                    notes.add(new ThemeNote(
                            Rule.BUILDS,
                            n,
                            subject,
                            "%s builds on %s, shown in %s: whoever begins this week has not met it."
                                    .formatted(
                                            teaching.name(teaching.goal(subject)),
                                            teaching.name(teaching.goal(need)),
                                            themes.get(in).name())));
                }
            }
        }
        return notes;
    }
}
