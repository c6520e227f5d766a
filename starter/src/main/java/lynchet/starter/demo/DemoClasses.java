package lynchet.starter.demo;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import lynchet.core.card.Family;
import lynchet.core.card.Jacket;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Block;
import lynchet.core.mat.BlockBuilder;
import lynchet.core.mat.ClassPattern;
import lynchet.core.mat.Dose;
import lynchet.core.mat.Side;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.mat.TrainingClassBuilder;
import lynchet.core.rank.Ladder;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;

/** Nine months of classes up to today and the rest of the term ahead; today there is always a class. */
final class DemoClasses {

    /** Weeks of the running term that are still to come. */
    static final int AHEAD = 5;

    private static final String TERM = "running-term";

    /** Weeks of the running term that are over. */
    static final int OVER = 9;

    /** Whose classes count on a ladder; on one that is not named here, everybody's. */
    private static final Map<String, List<String>> COUNTING =
            Map.of("junior", List.of("juniors"), "exam", List.of("throws", "fundamentals"));

    private static final List<Slot> SLOTS = List.of(
            new Slot("juniors", 0, LocalTime.of(17, 15), 60, "Small Mat", "Sorrel Vane", 4),
            new Slot("fundamentals", 0, LocalTime.of(18, 30), 90, "Long Mat", "head", 8),
            new Slot("throws", 2, LocalTime.of(19, 0), 90, "Long Mat", "coach", 8),
            new Slot("juniors-second", 3, LocalTime.of(17, 15), 60, "Long Mat", "Sorrel Vane", 8),
            new Slot("no-jacket", 4, LocalTime.of(10, 0), 75, "Long Mat", "Wren Abbot", 8),
            new Slot("competition", 5, LocalTime.of(18, 0), 90, "Long Mat", "head", 8));

    /** A weekly time, so many days after the weekday of today. */
    private record Slot(String id, int after, LocalTime start, int minutes, String area, String coach, int lanes) {

        String track() {
            return id.equals("juniors-second") ? "juniors" : id;
        }

        Track.Slot on(LocalDate today) {
            return new Track.Slot(
                    id,
                    today.minusWeeks(DemoPeople.WEEKS),
                    null,
                    today.plusDays(after).getDayOfWeek(),
                    start,
                    minutes,
                    area,
                    coach,
                    lanes);
        }
    }

    /** The tracks with the weekly times that these classes follow. */
    static List<Track> tracks(LocalDate today) {
        return List.of(
                track("juniors", "Juniors", Jacket.JACKET, today),
                track("fundamentals", "Fundamentals", Jacket.JACKET, today),
                track("throws", "Throws", Jacket.JACKET, today, Family.THROW, Family.TAKEDOWN),
                track("no-jacket", "No-jacket", Jacket.NO_JACKET, today),
                track("competition", "Competition squad", Jacket.EITHER, today));
    }

    private static Track track(String id, String name, Jacket jacket, LocalDate today, Family... teaches) {
        List<Track.Slot> slots = SLOTS.stream()
                .filter(slot -> slot.track().equals(id))
                .map(slot -> slot.on(today))
                .toList();
        return new Track(id, name, jacket, slots, List.of(teaches));
    }

    /** After the term the hall gets a new floor. */
    static Closure closure(LocalDate today) {
        LocalDate from = today.plusWeeks(AHEAD + 1);
        return new Closure("new-floor", "New floor in the hall", from, from.plusDays(8), List.of());
    }

    /** The plan of the latest fundamentals class, kept to begin others from. */
    static ClassPattern pattern(List<TrainingClass> past) {
        List<Block> blocks = past.stream()
                .filter(c -> c.track().equals("fundamentals") && !c.blocks().isEmpty())
                .reduce((a, b) -> b)
                .orElseThrow()
                .blocks();
        return new ClassPattern("usual-evening", "The usual ninety minutes", blocks);
    }

    /** The ladder as this club counts classes on it. */
    static Ladder counting(Ladder ladder) {
        return ladder.counting(COUNTING.getOrDefault(ladder.id(), List.of()));
    }

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

    private static final String[][] COMPETITION = {
        {"hip-sweep", "sprawl"}, {"single-leg", "single-leg-turn-down"}, {"seatbelt-and-hooks", "rear-choke"},
        {"knee-slide-pass", "side-hold"}, {"minor-inner-reap", "body-drop"}, {"win-strong-grip", "shoulder-throw"}
    };

    private static final Map<String, String[][]> PLANS = Map.of(
            "fundamentals",
            FUNDAMENTALS,
            "throws",
            THROWS,
            "no-jacket",
            NO_JACKET,
            "juniors",
            JUNIORS,
            "competition",
            COMPETITION);

    private DemoClasses() {}

    /** Every class by date, the club closed for two weeks around the turn of the year. */
    static List<TrainingClass> of(LocalDate today, GrapplingMap map) {
        List<TrainingClass> classes = new ArrayList<>();
        for (int week = DemoPeople.WEEKS; week >= -AHEAD; week--) {
            for (Slot slot : SLOTS) {
                LocalDate day = today.minusWeeks(week).plusDays(slot.after());
                boolean isThePlans = day.isAfter(today)
                        && (DemoTerm.isPlanned(slot.track()) || slot.track().equals(DemoCycle.TRACK));
                if ((!isClosed(day) || day.equals(today)) && !isThePlans) {
                    classes.add(make(map, slot, day, week, week <= OVER ? TERM : null));
                }
            }
        }
        classes.sort(Comparator.comparing(TrainingClass::date).thenComparing(TrainingClass::start));
        return classes;
    }

    /** What a track is taught in turn. */
    static List<String> techniques(String track) {
        return Arrays.stream(PLANS.get(track))
                .flatMap(Arrays::stream)
                .distinct()
                .toList();
    }

    private static boolean isClosed(LocalDate day) {
        return day.getMonthValue() == 12 && day.getDayOfMonth() > 23
                || day.getMonthValue() == 1 && day.getDayOfMonth() < 4;
    }

    /** The running term with the slots that these classes follow. */
    static Term term(LocalDate today, LocalDate grading) {
        List<LocalDate> closures = new ArrayList<>();
        LocalDate last = today.plusWeeks(AHEAD).plusDays(6);
        for (LocalDate day = today; !day.isAfter(last); day = day.plusDays(1)) {
            if (isClosed(day)) {
                closures.add(day);
            }
        }
        return new Term(
                TERM,
                "The running term",
                today.minusWeeks(OVER),
                last,
                SLOTS.stream().map(Slot::id).toList(),
                closures,
                List.of(grading));
    }

    private static TrainingClass make(GrapplingMap map, Slot slot, LocalDate day, int week, String term) {
        boolean brief = slot.minutes() == 60;
        String[][] plan = PLANS.get(slot.track());
        int theme = Math.floorMod(week + (slot.after() == 3 ? 4 : 0), plan.length);
        String[] techniques = plan[theme];
        List<Block> blocks = new ArrayList<>();
        blocks.add(BlockBuilder.builder()
                .id("warm-up")
                .kind(Block.Kind.WARM_UP)
                .title("Warm-up: hip escapes and bridges")
                .minutes(10)
                .build());
        blocks.add(BlockBuilder.builder()
                .id("falls")
                .kind(Block.Kind.BREAKFALLS)
                .title("Side breakfalls")
                .minutes(brief ? 8 : 10)
                .technique("side-fall")
                .dose(new Dose(6, Side.BOTH, 0, null, 0, null, 60, 5, null))
                .watchCue("Sit, do not topple")
                .watchFault("fault-1")
                .build());
        blocks.add(drill(map, "drill-1", techniques[0], brief ? 12 : 18));
        blocks.add(drill(map, "drill-2", techniques[1], brief ? 12 : 18));
        blocks.add(BlockBuilder.builder()
                .id("rounds")
                .kind(Block.Kind.POSITIONAL_ROUNDS)
                .title("Positional rounds, reset on escape")
                .minutes(brief ? 10 : 20)
                .position("mount-bottom")
                .work(180)
                .rest(30)
                .build());
        return TrainingClassBuilder.builder()
                .id(slot.id() + "-" + day)
                .date(day)
                .start(slot.start())
                .minutes(slot.minutes())
                .track(slot.track())
                .slot(slot.id())
                .term(term)
                .coach(slot.coach())
                .area(slot.area())
                .theme(name(map, techniques[0]) + " · " + name(map, techniques[1]))
                .blocks(blocks)
                .lanes(slot.lanes())
                .build();
    }

    private static Block drill(GrapplingMap map, String id, String technique, int minutes) {
        Technique card = map.technique(technique).orElseThrow();
        String cue = card.steps().stream()
                .map(step -> step.cue())
                .filter(c -> c != null)
                .findFirst()
                .orElse(null);
        return BlockBuilder.builder()
                .id(id)
                .kind(Block.Kind.WHOLE_DRILL)
                .title(card.name())
                .minutes(minutes)
                .technique(technique)
                .version(card.houseVersion())
                .dose(new Dose(8, Side.BOTH, 2, Dose.Tempo.BUILDING, 1, null, 180, 12, null))
                .watchCue(cue)
                .watchFault(card.faults().get(0).id())
                .build();
    }

    private static String name(GrapplingMap map, String technique) {
        return map.technique(technique).orElseThrow().name();
    }
}
