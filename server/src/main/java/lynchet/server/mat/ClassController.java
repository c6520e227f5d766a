package lynchet.server.mat;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.ClassSum;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Start;
import lynchet.core.mat.Tally;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.safety.Caution;
import lynchet.core.safety.Cautions;
import lynchet.core.term.Closure;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.Durable;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Classes: of some days, one of them with all that was recorded in it, planned and changed. */
@RestController
@RequestMapping("/api")
class ClassController {

    /** A year and some. */
    private static final int MOST_DAYS = 400;

    private final ClassStore classes;
    private final ClassDesk desk;
    private final AttendanceDesk attendance;
    private final PracticeDesk practice;
    private final TallyStore tallies;
    private final TakenOut gone;
    private final StartStore starts;
    private final FallCap falls;
    private final TeachingSnapshots taught;
    private final Durable durable;
    private final Clock clock;

    ClassController(
            ClassStore classes,
            ClassDesk desk,
            AttendanceDesk attendance,
            PracticeDesk practice,
            TallyStore tallies,
            TakenOut gone,
            StartStore starts,
            FallCap falls,
            TeachingSnapshots taught,
            Durable durable,
            Clock clock) {
        this.classes = classes;
        this.desk = desk;
        this.attendance = attendance;
        this.practice = practice;
        this.tallies = tallies;
        this.gone = gone;
        this.starts = starts;
        this.falls = falls;
        this.taught = taught;
        this.durable = durable;
        this.clock = clock;
    }

    /**
     * A class as the mat needs it: who is here, what was drilled, and the cautions of each block by block id.
     *
     * @param gone who was down as here and was taken out again
     * @param tallies faults of the room, without names
     * @param starts positional rounds as they ended, without names
     */
    record ClassSheet(
            TrainingClass training,
            List<Attendance> attendance,
            List<PracticeEntry> practice,
            Map<String, List<Caution>> cautions,
            List<TakenOut.Gone> gone,
            List<Tally> tallies,
            List<Start> starts) {}

    /**
     * The classes of some days, and what closes them.
     *
     * @param ifTime by class, ids of the blocks that the term's plan has only if time allows
     */
    record Calendar(
            LocalDate today,
            List<Track> tracks,
            List<TrainingClass> classes,
            List<Closure> closures,
            Map<String, List<String>> ifTime) {}

    /** Classes from a day to a day, those that the weekly slots give among them; today's when neither is given. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/classes")
    Calendar classes(
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to,
            Authentication who) {
        LocalDate today = LocalDate.now(clock);
        LocalDate first = from == null ? today : from;
        LocalDate last = to == null ? first : to;
        if (last.isAfter(first.plusDays(MOST_DAYS))) {
            throw Refusal.bad("DAYS_MANY", "to", "Ask for at most " + MOST_DAYS + " days at once.");
        }
        Snapshot now = taught.now();
        List<TrainingClass> all =
                ClassStore.together(classes.between(first, last), now.calendar().between(first, last));
        Map<String, List<String>> ifTime = new TreeMap<>();
        for (TrainingClass one : all) {
            List<String> blocks = now.planned().ifTime(one);
            if (!blocks.isEmpty()) {
                ifTime.put(one.id(), blocks);
            }
        }
        return new Calendar(
                today,
                now.taught().tracks(),
                all.stream().map(one -> seenBy(who, one)).toList(),
                now.taught().closures().stream()
                        .filter(closure -> !closure.from().isAfter(last)
                                && !closure.until().isBefore(first))
                        .toList(),
                ifTime);
    }

    private static TrainingClass seenBy(Authentication who, TrainingClass training) {
        return AccountRights.isViewer(who) ? training.withoutPrivate() : training;
    }

    /** The ways of drilling that a coach may take into a class. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/drills")
    List<DrillShape> drills() {
        return taught.now().taught().drills();
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/classes/{id}")
    ResponseEntity<ClassSheet> one(@PathVariable String id, Authentication who) {
        TrainingClass training = seenBy(who, desk.trained(id));
        GrapplingMap map = taught.now().map();
        Map<String, List<Caution>> cautions = new TreeMap<>();
        training.blocks().stream().filter(block -> block.technique() != null).forEach(block -> map.technique(
                        block.technique())
                .ifPresent(technique -> cautions.put(block.id(), Cautions.of(technique, map))));
        ClassSheet sheet = new ClassSheet(
                training,
                attendance.of(id),
                practice.of(id),
                cautions,
                gone.of(id),
                tallies.ofClass(id),
                starts.ofClass(id));
        return ResponseEntity.ok().eTag(ETags.of(training)).body(sheet);
    }

    /**
     * What a class adds up to.
     *
     * @param left minutes that nothing fills, with changes between blocks and water in the sum; below 0 it is over
     * @param fewFalls most falls for juniors, and for everybody who is new
     * @param mostFalls most falls for everybody else
     */
    record Summed(ClassSum sum, int left, int fewFalls, int mostFalls) {}

    /** Adds a class up as it is being planned; nothing is kept. */
    @OpenTo(Who.COACHES)
    @PostMapping("/classes/sums")
    Summed sums(@RequestBody TrainingClass training) {
        desk.checked(training);
        Snapshot now = taught.now();
        GrapplingMap map = now.map();
        ClassSum sum =
                ClassSum.of(training, map::technique, chain -> now.chain(chain).falls(map));
        return new Summed(
                sum,
                sum.left(training.minutes()),
                now.numbers().fewFalls(),
                now.numbers().mostFalls());
    }

    @OpenTo(Who.COACHES)
    @PutMapping("/classes/{id}")
    ResponseEntity<TrainingClass> change(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody TrainingClass training,
            Authentication who) {
        Refusal.unlessSame(id, training.id());
        return ETags.tagged(durable.write(() -> {
            falls.check(training, desk.found(id).orElse(null), taught.now(), who);
            return desk.put(training, tag);
        }));
    }
}
