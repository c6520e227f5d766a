package lynchet.starter.demo;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Jacket;
import lynchet.core.map.Technique;
import lynchet.core.mat.Block;
import lynchet.core.mat.Dose;
import lynchet.core.mat.Side;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;

/** Eight weeks of classes up to today and one week ahead; today there is always a class. */
final class DemoClasses {

    static final int WEEKS = 8;

    static final List<Track> TRACKS = List.of(
            new Track("juniors", "Juniors", Jacket.JACKET),
            new Track("fundamentals", "Fundamentals", Jacket.JACKET),
            new Track("throws", "Throws", Jacket.JACKET),
            new Track("no-jacket", "No-jacket", Jacket.NO_JACKET));

    /** Two techniques a week for each track; week 0 is this week. */
    private static final String[][] FUNDAMENTALS = {
        {"hip-bump-sweep", "figure-four-lock"},
        {"bridge-and-roll", "elbow-escape"},
        {"side-hip-escape", "turn-to-knees"},
        {"kneel-guard-break", "side-step-pass"},
        {"scissor-sweep", "close-the-guard"},
        {"side-to-mount", "mount-hold"},
        {"hip-bump-sweep", "arm-lock"},
        {"bridge-and-roll", "side-hip-escape"},
        {"scarf-hold", "scarf-bridge-roll"}
    };

    private static final String[][] THROWS = {
        {"major-outer-reap", "body-drop"},
        {"major-hip-throw", "scarf-hold"},
        {"minor-inner-reap", "advancing-foot-sweep"},
        {"major-hip-throw", "hip-sweep"},
        {"major-inner-reap", "minor-inner-reap"},
        {"take-sleeve-collar", "win-strong-grip"},
        {"major-outer-reap", "break-grip"},
        {"body-drop", "shoulder-throw"},
        {"major-hip-throw", "major-inner-reap"}
    };

    private static final String[][] NO_JACKET = {
        {"single-leg", "sprawl"}, {"go-behind", "peel-and-look-up"}, {"seatbelt-and-hooks", "rear-choke"},
        {"double-leg", "sprawl"}, {"stand-from-turtle", "mat-return"}, {"arm-drag", "peel-and-face"},
        {"snap-down", "go-behind"}, {"slide-out-of-back", "seatbelt-and-hooks"}, {"double-leg", "single-leg"}
    };

    private static final String[][] JUNIORS = {
        {"major-outer-reap", "side-hold"},
        {"scarf-hold", "scarf-bridge-roll"},
        {"major-hip-throw", "hook-the-leg"},
        {"side-hip-escape", "bridge-and-roll"},
        {"kneel-guard-break", "side-step-pass"},
        {"advancing-foot-sweep", "take-sleeve-collar"},
        {"mount-hold", "elbow-escape"},
        {"major-outer-reap", "scarf-hold"},
        {"break-grip", "side-to-scarf"}
    };

    private DemoClasses() {}

    static List<TrainingClass> of(LocalDate today, GrapplingMap map) {
        List<TrainingClass> classes = new ArrayList<>();
        for (int week = WEEKS; week >= 0; week--) {
            LocalDate day = today.minusWeeks(week);
            classes.add(make(map, "juniors", day, LocalTime.of(17, 15), 60, "Small Mat", "assistant", JUNIORS[week]));
            classes.add(
                    make(map, "fundamentals", day, LocalTime.of(18, 30), 90, "Long Mat", "head", FUNDAMENTALS[week]));
            classes.add(
                    make(map, "throws", day.plusDays(2), LocalTime.of(19, 0), 90, "Long Mat", "coach", THROWS[week]));
            classes.add(make(
                    map, "no-jacket", day.plusDays(4), LocalTime.of(10, 0), 75, "Long Mat", "coach", NO_JACKET[week]));
        }
        return classes;
    }

    private static TrainingClass make(
            GrapplingMap map,
            String track,
            LocalDate day,
            LocalTime start,
            int minutes,
            String area,
            String coach,
            String[] techniques) {
        boolean brief = minutes == 60;
        List<Block> blocks = new ArrayList<>();
        blocks.add(new Block(
                "warm-up",
                Block.Kind.WARM_UP,
                "Warm-up: hip escapes and bridges",
                10,
                null,
                null,
                null,
                null,
                null,
                null));
        blocks.add(new Block(
                "falls",
                Block.Kind.BREAKFALLS,
                "Side breakfalls",
                brief ? 8 : 10,
                "side-fall",
                null,
                null,
                new Dose(6, Side.BOTH, 0, null, 0, null),
                "Sit, do not topple",
                "fault-1"));
        blocks.add(drill(map, "drill-1", techniques[0], brief ? 12 : 18));
        blocks.add(drill(map, "drill-2", techniques[1], brief ? 12 : 18));
        blocks.add(new Block(
                "rounds",
                Block.Kind.POSITIONAL_ROUNDS,
                "Positional rounds, reset on escape",
                brief ? 10 : 20,
                null,
                null,
                null,
                null,
                null,
                null));
        String theme = name(map, techniques[0]) + " · " + name(map, techniques[1]);
        return new TrainingClass(track + "-" + day, day, start, minutes, track, coach, area, theme, blocks, false);
    }

    private static Block drill(GrapplingMap map, String id, String technique, int minutes) {
        Technique card = map.technique(technique).orElseThrow();
        String cue = card.steps().stream()
                .map(step -> step.cue())
                .filter(c -> c != null)
                .findFirst()
                .orElse(null);
        return new Block(
                id,
                Block.Kind.WHOLE_DRILL,
                card.name(),
                minutes,
                technique,
                card.houseVersion(),
                null,
                new Dose(8, Side.BOTH, 2, Dose.Tempo.BUILDING, 1, null),
                cue,
                card.faults().get(0).id());
    }

    private static String name(GrapplingMap map, String technique) {
        return map.technique(technique).orElseThrow().name();
    }
}
