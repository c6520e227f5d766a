package lynchet.server.round;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lynchet.core.club.Parts;
import lynchet.core.leak.IgnoredLeak;
import lynchet.core.leak.Leak;
import lynchet.core.leak.LeakBlock;
import lynchet.core.leak.Leaks;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.round.Round;
import lynchet.core.round.RoundFilter;
import lynchet.server.club.OneThing;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.Snapshot;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.ClassDesk;
import lynchet.server.mat.StudentStates;
import lynchet.server.mat.UpcomingClasses;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What members are caught with, and what is done about it. Viewers see the club's figures and no names. */
@RestController
@RequestMapping("/api/rounds")
class LeaksController {

    private static final int LEAST_DAYS = 7;
    private static final int MOST_DAYS = 400;
    private static final int AHEAD = 14;

    private final RoundStore rounds;
    private final StudentStates states;
    private final Stores stores;
    private final TeachingSnapshots taught;
    private final ClassDesk classes;
    private final UpcomingClasses upcoming;
    private final RecordDesk desk;
    private final OneThing edits;
    private final Clock clock;

    LeaksController(
            RoundStore rounds,
            StudentStates states,
            Stores stores,
            TeachingSnapshots taught,
            ClassDesk classes,
            UpcomingClasses upcoming,
            RecordDesk desk,
            OneThing edits,
            Clock clock) {
        this.rounds = rounds;
        this.states = states;
        this.stores = stores;
        this.taught = taught;
        this.classes = classes;
        this.upcoming = upcoming;
        this.desk = desk;
        this.edits = edits;
        this.clock = clock;
    }

    /** The next class of those who were caught. */
    record NextClass(String id, LocalDate date, LocalTime start, String track) {}

    /**
     * One leak with what can be done about it.
     *
     * @param into the class it would go into; null: none is coming, or it is for coaches to see
     * @param isIn whether that class has it already
     * @param ignored why it is left alone for now; null: it is not
     */
    record LeakView(
            Leak leak,
            @Nullable NextClass into,
            boolean isIn,
            @Nullable IgnoredLeak ignored,
            @Nullable String ignoredTag) {}

    /**
     * The leaks of a window.
     *
     * @param rounds how many there were in it
     * @param roundsBefore how many there were in the window before, which is as long
     * @param names of those who were caught, by id; for coaches
     */
    record LeaksView(
            LocalDate from,
            LocalDate until,
            int rounds,
            int roundsBefore,
            List<LeakView> leaks,
            Map<String, String> names) {}

    /**
     * @param days how long the window is that ends today
     * @param by id of one student, for coaches: what they are caught with
     */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/leaks")
    LeaksView leaks(
            @RequestParam(defaultValue = "90") int days,
            @RequestParam(required = false) Round.Kind kind,
            @RequestParam(required = false) String fought,
            @RequestParam(required = false) String by,
            Authentication who) {
        if (days < LEAST_DAYS || days > MOST_DAYS) {
            throw Refusal.bad("DAYS_MANY", "days", "Ask for " + LEAST_DAYS + " to " + MOST_DAYS + " days.");
        }
        Snapshot now = taught.now();
        if (fought != null && now.map().ruleset(fought).isEmpty()) {
            throw Refusal.missing("ruleset", fought);
        }
        boolean isViewer = AccountRights.isViewer(who);
        if (by != null && isViewer) {
            throw Refusal.of(HttpStatus.FORBIDDEN, "NOT_ALLOWED", "by", "One student's rounds are for coaches.");
        }
        if (by != null && stores.of(Parts.PEOPLE).find(by).isEmpty()) {
            throw Refusal.missing("student", by);
        }
        LocalDate today = LocalDate.now(clock);
        LocalDate from = today.minusDays(days - 1L);
        Leaks.Window window = window(by, from, today, kind, fought);
        Leaks.Window before = window(by, from.minusDays(days), from.minusDays(1), kind, fought);
        List<Leak> all = leaks(now.map(), window, before, today);
        Map<String, Student> caught = isViewer
                ? Map.of()
                : stores.of(Parts.PEOPLE)
                        .find(all.stream()
                                .flatMap(leak -> leak.whose().stream())
                                .distinct()
                                .toList());
        LocalTime hour = LocalTime.now(clock);
        List<TrainingClass> coming = isViewer
                ? List.of()
                : upcoming.between(today, today.plusDays(AHEAD)).stream()
                        .filter(one -> one.date().isAfter(today) || one.start().isAfter(hour))
                        .toList();
        Map<String, String> names = new TreeMap<>();
        caught.values().forEach(one -> names.put(one.id(), one.name()));
        return new LeaksView(
                from,
                today,
                window.rounds(),
                before.rounds(),
                all.stream()
                        .map(leak -> view(leak, caught, coming, now, today, isViewer))
                        .sorted(Comparator.comparing(view -> view.ignored() != null))
                        .toList(),
                names);
    }

    private Leaks.Window window(String by, LocalDate from, LocalDate until, Round.Kind kind, String fought) {
        RoundFilter filter = new TriesAsked(by, from, until, kind, fought).filter(clock.getZone());
        return new Leaks.Window(rounds.number(filter), rounds.caught(filter));
    }

    private List<Leak> leaks(GrapplingMap map, Leaks.Window window, Leaks.Window before, LocalDate today) {
        List<String> whose =
                window.caught().stream().map(one -> one.student()).distinct().toList();
        Map<String, StudentState> stand = states.of(whose, Leaks.answers(map, window));
        return Leaks.of(map, window, before, stand, today);
    }

    private LeakView view(
            Leak leak,
            Map<String, Student> caught,
            List<TrainingClass> coming,
            Snapshot now,
            LocalDate today,
            boolean isViewer) {
        Optional<TrainingClass> into = next(leak, caught, coming);
        Optional<IgnoredLeak> ignored = now.taught().all(Parts.IGNORED_LEAKS).stream()
                .filter(one ->
                        one.position().equals(leak.position()) && !one.until().isBefore(today))
                .findFirst();
        Leak shown = isViewer
                ? new Leak(
                        leak.position(),
                        leak.times(),
                        leak.before(),
                        leak.per100(),
                        leak.per100Before(),
                        leak.finishes(),
                        List.of(),
                        leak.answers(),
                        leak.says())
                : leak;
        return new LeakView(
                shown,
                into.map(one -> new NextClass(one.id(), one.date(), one.start(), one.track()))
                        .orElse(null),
                into.filter(one -> one.block(LeakBlock.idOf(leak.position())).isPresent())
                        .isPresent(),
                ignored.orElse(null),
                ignored.map(ETags::of).orElse(null));
    }

    /** The first class of the track on which most of those who were caught train. */
    private static Optional<TrainingClass> next(Leak leak, Map<String, Student> caught, List<TrainingClass> coming) {
        Map<String, Integer> tracks = new HashMap<>();
        leak.whose().stream()
                .filter(caught::containsKey)
                .flatMap(id -> caught.get(id).tracks().stream())
                .forEach(track -> tracks.merge(track, 1, Integer::sum));
        return coming.stream()
                .filter(one -> tracks.containsKey(one.track()))
                .max(Comparator.<TrainingClass>comparingInt(one -> tracks.get(one.track()))
                        .thenComparing(Comparator.comparing(TrainingClass::date)
                                .thenComparing(TrainingClass::start)
                                .reversed()));
    }

    /** Into which class it is put. */
    record LeakInto(String classId) {}

    /** Puts the way of drilling that fits into a class that is to come. */
    @OpenTo(Who.COACHES)
    @PostMapping("/leaks/{position}/class")
    ResponseEntity<TrainingClass> into(@PathVariable String position, @RequestBody LeakInto asked) {
        Snapshot now = taught.now();
        if (now.map().position(position).isEmpty()) {
            throw Refusal.missing("position", position);
        }
        LocalDate today = LocalDate.now(clock);
        Leaks.Window window = window(null, today.minusDays(MOST_DAYS), today, null, null);
        List<String> answers = leaks(now.map(), window, new Leaks.Window(0, List.of()), today).stream()
                .filter(leak -> leak.position().equals(position))
                .flatMap(leak -> leak.answers().stream())
                .map(Leak.Answer::technique)
                .toList();
        return ETags.tagged(desk.write(() -> {
            TrainingClass training = classes.found(asked.classId())
                    .orElseThrow(() -> Refusal.bad("RECORD_CLASS", "/classId", "There is no such class."));
            if (training.cancelled()) {
                throw Refusal.bad("CALLED_OFF", "/classId", "This class was called off; choose another.");
            }
            if (training.date().isBefore(today)) {
                throw Refusal.bad("CLASS_OVER", "/classId", "This class is over; choose one that is to come.");
            }
            TrainingClass with = LeakBlock.into(
                    training,
                    LeakBlock.of(position, answers, now.map(), now.taught().drills()));
            return classes.put(with, ETags.of(training));
        }));
    }

    /** Leaves a leak alone until a day. */
    @OpenTo(Who.COACHES)
    @PostMapping("/ignored-leaks")
    ResponseEntity<IgnoredLeak> ignore(@RequestBody IgnoredLeak leak) {
        return ETags.tagged(edits.add(Parts.IGNORED_LEAKS, leak));
    }

    /** Looks at it again. */
    @OpenTo(Who.COACHES)
    @DeleteMapping("/ignored-leaks/{id}")
    ResponseEntity<Void> lookAgain(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        edits.remove(Parts.IGNORED_LEAKS, id, tag);
        return ResponseEntity.noContent().build();
    }
}
