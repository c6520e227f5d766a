package lynchet.server.term;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import lynchet.core.map.Stage;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.term.PlannedClasses;
import lynchet.core.term.Teaching;
import lynchet.core.term.cycle.CycledClasses;
import lynchet.core.term.cycle.Joining;
import lynchet.core.term.cycle.ThemeCycle;
import lynchet.core.term.cycle.ThemeNote;
import lynchet.core.term.cycle.ThemeWeeks;

/**
 * A cycle as it comes round.
 *
 * @param bears minutes of technique that the classes of a usual week bear, in their order; empty where the track has none
 * @param themes in their order
 * @param weeks the weeks ahead, two rounds of them
 * @param joining when somebody who begins today, and comes to all classes, has been shown everything
 * @param bySlot the same for somebody who comes to one weekly time only; where there is more than one
 */
record CycleView(
        ThemeCycle cycle,
        String trackName,
        LocalDate today,
        List<Integer> bears,
        List<ThemeRow> themes,
        List<ThemeWeek> weeks,
        List<ThemeNote> notes,
        Joining joining,
        Map<String, Joining> bySlot) {

    /**
     * A theme.
     *
     * @param minutes to show all of it once
     */
    record ThemeRow(String name, int minutes, List<ThemeSubject> subjects) {}

    /** @param minutes to show it once */
    record ThemeSubject(String subject, String name, Stage stage, int minutes) {}

    /**
     * A week ahead.
     *
     * @param theme place of its theme, from 0
     * @param round how often all have been before, from 0
     */
    record ThemeWeek(LocalDate monday, int theme, int round, List<ThemeClass> classes) {}

    record ThemeClass(String id, LocalDate date, List<Shown> shown) {}

    /** @param isFirst whether it is shown, or met again */
    record Shown(String subject, String name, boolean first, int minutes) {}

    static CycleView of(
            ThemeCycle cycle, Track track, CycledClasses cycled, Teaching teaching, LocalDate today, double mostFalls) {
        ThemeWeeks weeks = cycled.weeks(cycle.track()).orElseThrow();
        List<ThemeWeeks.Week> ahead = weeks.from(today, 2 * cycle.themes().size());
        List<Integer> bears = usual(cycle, track, ahead, today);
        Map<String, Joining> bySlot = new LinkedHashMap<>();
        List<String> slots = ahead.stream()
                .flatMap(week -> week.classes().stream())
                .map(TrainingClass::slot)
                .distinct()
                .toList();
        if (slots.size() > 1) {
            slots.forEach(slot -> bySlot.put(
                    slot,
                    Joining.on(
                            today,
                            cycle,
                            weeks,
                            one -> slot.equals(one.slot()),
                            week -> cycled.portions(cycle, week))));
        }
        return new CycleView(
                cycle,
                track.name(),
                today,
                bears,
                cycle.themes().stream().map(theme -> row(theme, teaching)).toList(),
                ahead.stream().map(week -> week(cycle, week, cycled, teaching)).toList(),
                ThemeNote.of(cycle, bears, teaching, mostFalls),
                Joining.on(today, cycle, weeks, one -> true, week -> cycled.portions(cycle, week)),
                bySlot);
    }

    /** The fullest of the weeks ahead; where there is none, the weekly times as they stand. */
    static List<Integer> usual(ThemeCycle cycle, Track track, List<ThemeWeeks.Week> ahead, LocalDate today) {
        return ahead.stream()
                .map(ThemeWeeks.Week::classes)
                .reduce((one, other) -> other.size() > one.size() ? other : one)
                .map(classes -> classes.stream().map(TrainingClass::minutes).toList())
                .orElseGet(() -> track.slots().stream()
                        .filter(slot -> slot.until() == null || !slot.until().isBefore(today))
                        .map(Track.Slot::minutes)
                        .toList())
                .stream()
                .map(cycle::bears)
                .toList();
    }

    private static ThemeRow row(ThemeCycle.Theme theme, Teaching teaching) {
        List<ThemeSubject> subjects = theme.subjects().stream()
                .map(teaching::goal)
                .map(goal -> new ThemeSubject(
                        goal.subject(), teaching.name(goal), teaching.stage(goal), teaching.first(goal)))
                .toList();
        return new ThemeRow(
                theme.name(), subjects.stream().mapToInt(ThemeSubject::minutes).sum(), subjects);
    }

    private static ThemeWeek week(ThemeCycle cycle, ThemeWeeks.Week week, CycledClasses cycled, Teaching teaching) {
        List<List<PlannedClasses.Stands>> about = cycled.portions(cycle, week).classes();
        List<ThemeClass> classes = new ArrayList<>();
        IntStream.range(0, week.classes().size())
                .forEach(n -> classes.add(new ThemeClass(
                        week.classes().get(n).id(),
                        week.classes().get(n).date(),
                        about.get(n).stream()
                                .map(one -> new Shown(
                                        one.goal().subject(), teaching.name(one.goal()), one.isFirst(), one.minutes()))
                                .toList())));
        return new ThemeWeek(week.monday(), week.theme(), week.round(), classes);
    }
}
