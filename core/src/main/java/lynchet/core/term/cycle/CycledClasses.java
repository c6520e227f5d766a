package lynchet.core.term.cycle;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lynchet.core.mat.TrainingClass;
import lynchet.core.term.Calendar;
import lynchet.core.term.PlannedClasses;
import lynchet.core.term.PlannedClasses.Stands;
import lynchet.core.term.Teaching;
import lynchet.core.term.TermPlan;

/** The classes that cycles fill: where no term's plan teaches the track, and nobody has made blocks. */
public final class CycledClasses {

    private final Map<String, ThemeWeeks> weeks = new HashMap<>();
    private final Map<String, ThemeCycle> cycles = new HashMap<>();
    private final Set<String> plannedTerms = new HashSet<>();
    private final Teaching teaching;

    /** @param calendar of the weekly times, filled by nothing */
    public CycledClasses(List<ThemeCycle> cycles, List<TermPlan> plans, Calendar calendar, Teaching teaching) {
        this.teaching = teaching;
        plans.stream()
                .filter(plan -> !plan.goals().isEmpty())
                .forEach(plan -> plannedTerms.add(plan.term() + " " + plan.track()));
        for (ThemeCycle cycle : cycles) {
            this.cycles.put(cycle.track(), cycle);
            weeks.put(cycle.track(), new ThemeWeeks(cycle, calendar, this::isIts));
        }
    }

    private boolean isIts(TrainingClass training) {
        return !plannedTerms.contains(training.term() + " " + training.track());
    }

    /** The weeks of a track's cycle; empty where it has none. */
    public Optional<ThemeWeeks> weeks(String track) {
        return Optional.ofNullable(weeks.get(track));
    }

    /** What a class is about; nothing where no cycle has anything for it. */
    public List<Stands> about(TrainingClass training) {
        ThemeCycle cycle = cycles.get(training.track());
        if (cycle == null || training.slot() == null || !isIts(training)) {
            return List.of();
        }
        return weeks.get(training.track())
                .of(training.date())
                .flatMap(week -> {
                    List<String> ids =
                            week.classes().stream().map(TrainingClass::id).toList();
                    int at = ids.indexOf(training.id());
                    return at < 0
                            ? Optional.empty()
                            : Optional.of(portions(cycle, week).classes().get(at));
                })
                .orElse(List.of());
    }

    /** What the week of a class is about; nothing where no cycle has anything for it. */
    public List<TermPlan.Goal> themeOf(TrainingClass training) {
        ThemeCycle cycle = cycles.get(training.track());
        if (cycle == null || !isIts(training)) {
            return List.of();
        }
        return weeks.get(training.track())
                .of(training.date())
                .map(week -> cycle.themes().get(week.theme()).subjects().stream()
                        .map(teaching::goal)
                        .toList())
                .orElse(List.of());
    }

    /** What the classes of a week are about. */
    public Portions portions(ThemeCycle cycle, ThemeWeeks.Week week) {
        List<ThemeCycle.Theme> themes = cycle.themes();
        boolean isFirst = week.round() == 0 && week.theme() == 0;
        return Portions.of(
                themes.get(week.theme()),
                isFirst ? null : themes.get((week.theme() + themes.size() - 1) % themes.size()),
                week.classes().stream().map(one -> cycle.bears(one.minutes())).toList(),
                week.round(),
                teaching);
    }

    /** The class with the blocks of its theme week; as it is where it has blocks, or where no cycle has anything for it. */
    public TrainingClass filled(TrainingClass training) {
        if (!training.blocks().isEmpty() || training.cancelled()) {
            return training;
        }
        List<Stands> stands = about(training);
        return stands.isEmpty() ? training : PlannedClasses.made(training, stands, teaching);
    }
}
