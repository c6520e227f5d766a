package lynchet.server.pair;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Technique;
import lynchet.core.club.Parts;
import lynchet.core.mat.Block;
import lynchet.core.mat.Pairing;
import lynchet.core.mat.TrainingClass;
import lynchet.core.pair.Before;
import lynchet.core.pair.Couples;
import lynchet.core.pair.Pairs;
import lynchet.core.pair.Partner;
import lynchet.core.pair.Why;
import lynchet.core.pair.Work;
import lynchet.core.people.Contacts;
import lynchet.core.people.Student;
import lynchet.core.people.StudentRecord;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.club.Snapshot;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.AttendanceDesk;
import lynchet.server.mat.ClassDesk;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Who works with whom. A room is given out with all that pairing asks, so that a tablet goes on pairing when it does not
 * reach the server; the rules and the costs are the core's either way. Coaches only.
 */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api")
class PairController {

    /** A room of more couples than this is no class. */
    private static final int MOST_PEOPLE = 120;

    /** Who worked together longer ago than this does not matter any more. */
    private static final int LATELY_DAYS = 42;

    private static final int MOST_PAIRINGS = 400;

    private final RecordDesk desk;
    private final ClassDesk classes;
    private final AttendanceDesk attendance;
    private final PairingStore pairings;
    private final People people;
    private final Stores stores;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final Clock clock;

    PairController(
            RecordDesk desk,
            ClassDesk classes,
            AttendanceDesk attendance,
            PairingStore pairings,
            People people,
            Stores stores,
            StudentStates states,
            TeachingSnapshots taught,
            ReferenceCheck known,
            Clock clock) {
        this.desk = desk;
        this.classes = classes;
        this.attendance = attendance;
        this.pairings = pairings;
        this.people = people;
        this.stores = stores;
        this.states = states;
        this.taught = taught;
        this.known = known;
        this.clock = clock;
    }

    /**
     * Two of a room.
     *
     * @param one place in the room's people
     * @param other place in the room's people
     * @param cost in hundredths; null: the rules do not leave them together
     * @param why what stands against them, or is to be minded
     */
    record Couple(int one, int other, @Nullable Integer cost, Set<Why> why) {}

    /**
     * A room as pairing needs it.
     *
     * @param block what it is asked for; null: all that the evening asks
     * @param people those who are here and those of the track, in order of id
     * @param couples any two of them of whom something is to be said: who is not listed fits and costs nothing
     * @param sitOut those who take no part in this
     * @param words what each reason says
     * @param bars the reasons for which two are not paired
     * @param best the best pairs of those who are here
     * @param rounds the pairs that were made tonight, the latest last
     * @param throwing blocks of the class in which somebody is thrown: they want room
     * @param lifts what lifts each reason for which two are not paired
     * @param lacks breakfalls that this asks for and somebody has not passed, by id of those of whom it is true
     * @param juniors juniors by the numbers of the club, and those of unknown age
     */
    record Room(
            @Nullable String block,
            List<String> people,
            List<Couple> couples,
            Map<String, Why> sitOut,
            Map<Why, String> words,
            List<Why> bars,
            Pairs best,
            List<Pairing> rounds,
            List<String> throwing,
            Map<Why, Why.Lift> lifts,
            Map<String, List<Fall>> lacks,
            List<String> juniors) {}

    /** A breakfall by its id and what it is called. */
    record Fall(String id, String name) {}

    /** @param without who sits out for now */
    @GetMapping("/classes/{id}/pairs")
    @Transactional(readOnly = true)
    Room room(
            @PathVariable String id,
            @RequestParam @Nullable String block,
            @RequestParam @Nullable Set<String> without) {
        TrainingClass training = classes.trained(id);
        Snapshot now = taught.now();
        List<Block> asked = block == null ? training.blocks() : List.of(blockOf(training, block));
        Work work = workOf(asked, now);
        List<String> here = attendance.presentIn(id);
        List<String> able = here.stream()
                .filter(one -> without == null || !without.contains(one))
                .toList();
        List<Partner> partners = partners(roomOf(training, here), training, now, work);
        Couples couples = new Couples(partners, work, before(training), now.numbers());
        return new Room(
                block,
                couples.people().stream().map(Partner::id).toList(),
                couplesOf(couples),
                couples.sitOut(),
                words(),
                Stream.of(Why.values()).filter(Why::bars).toList(),
                Pairs.of(able, couples),
                pairings.ofClass(id),
                training.blocks().stream()
                        .filter(one -> workOf(List.of(one), now).throwing())
                        .map(Block::id)
                        .toList(),
                lifts(),
                lacks(partners, work, now),
                partners.stream()
                        .filter(one -> one.age() == null || one.isJunior(now.numbers()))
                        .map(Partner::id)
                        .toList());
    }

    private static Map<Why, Why.Lift> lifts() {
        Map<Why, Why.Lift> lifts = new TreeMap<>();
        Stream.of(Why.values()).filter(Why::bars).forEach(why -> lifts.put(why, why.lift()));
        return lifts;
    }

    private static Map<String, List<Fall>> lacks(List<Partner> partners, Work work, Snapshot now) {
        Map<String, List<Fall>> lacks = new TreeMap<>();
        for (Partner partner : partners) {
            List<Fall> falls = partner.lacks(work).stream()
                    .map(id -> new Fall(
                            id, now.map().technique(id).map(Technique::name).orElse(id)))
                    .toList();
            if (!falls.isEmpty()) {
                lacks.put(partner.id(), falls);
            }
        }
        return lacks;
    }

    private static Work workOf(List<Block> blocks, Snapshot now) {
        return Work.of(blocks.stream().flatMap(one -> spelledOut(one, now)).toList(), now.map());
    }

    /** A block that drills a chain, as one for each technique of it: pairs have to bear the hardest. */
    private static Stream<Block> spelledOut(Block block, Snapshot now) {
        if (block.technique() != null || block.chain() == null) {
            return Stream.of(block);
        }
        return now.chain(block.chain())
                .techniques(now.map())
                .map(technique -> block.drilling(technique.id(), null, null));
    }

    private static Block blockOf(TrainingClass training, String block) {
        return training.block(block).orElseThrow(() -> Refusal.missing("block", block));
    }

    /** Those who are here, and those of the track who may still come. */
    private List<Student> roomOf(TrainingClass training, List<String> here) {
        Map<String, Student> room = new TreeMap<>(stores.of(Parts.PEOPLE).find(here));
        people.trainingOn(training.track(), Math.max(0, MOST_PEOPLE - room.size()))
                .forEach(student -> room.putIfAbsent(student.id(), student));
        return List.copyOf(room.values());
    }

    private List<Partner> partners(List<Student> room, TrainingClass training, Snapshot now, Work work) {
        Map<String, StudentState> stand =
                states.of(room.stream().map(Student::id).toList());
        Set<String> counting =
                StudentRecord.counts(now.ladders(), training.track()).keySet();
        List<Ladder> ladders = now.ladders().stream()
                .sorted(Comparator.comparing((Ladder ladder) -> !counting.contains(ladder.id()))
                        .thenComparing(Ladder::id))
                .toList();
        return room.stream()
                .map(student -> Partner.of(
                        student,
                        stand.getOrDefault(student.id(), StudentState.empty()),
                        ladders,
                        training.date(),
                        work.falls(),
                        now.numbers()))
                .toList();
    }

    private Before before(TrainingClass training) {
        return new Before(
                training.id(),
                pairings.between(training.date().minusDays(LATELY_DAYS), training.date(), MOST_PAIRINGS));
    }

    private static List<Couple> couplesOf(Couples couples) {
        List<String> ids = couples.people().stream().map(Partner::id).toList();
        List<Couple> all = new ArrayList<>();
        for (int i = 0; i < ids.size(); i++) {
            for (int j = i + 1; j < ids.size(); j++) {
                Set<Why> why = couples.why(ids.get(i), ids.get(j));
                boolean isBarred = why.stream().anyMatch(Why::bars);
                Integer cost = isBarred ? null : (Integer) couples.cost(ids.get(i), ids.get(j));
                if (isBarred || cost != 0 || !why.isEmpty()) {
                    all.add(new Couple(i, j, cost, why));
                }
            }
        }
        return all;
    }

    private static Map<Why, String> words() {
        Map<Why, String> words = new TreeMap<>();
        for (Why why : Why.values()) {
            words.put(why, why.words());
        }
        return words;
    }

    /** Keeps the pairs of a round, or changes them: the person who changed them last is right. */
    @PutMapping("/pairings/{id}")
    Pairing keep(@PathVariable String id, @RequestBody Pairing sent) {
        Refusal.unlessSame(id, sent.id());
        return desk.write(() -> kept(sent));
    }

    private Pairing kept(Pairing sent) {
        classes.open(sent.classId());
        Optional<Pairing> before = pairings.find(sent.id());
        if (before.isPresent() && !before.get().classId().equals(sent.classId())) {
            throw Refusal.taken(sent.id(), "Pairs of another class were already kept under this id.");
        }
        known.check(Parts.PAIRINGS, sent);
        for (int n = 0; n < sent.groups().size(); n++) {
            if (sent.groups().get(n).people().size() < 2) {
                throw Refusal.bad("GROUP_SMALL", "/groups/" + n, "Two or three people work together, not one.");
            }
        }
        nobodyBarred(sent, before.map(Pairing::groups).orElse(List.of()));
        Pairing stamped = sent.stamped(
                before.map(Pairing::at).orElseGet(() -> clock.instant().truncatedTo(ChronoUnit.MILLIS)), Journal.who());
        if (before.isEmpty()) {
            pairings.add(List.of(stamped));
        } else if (!before.get().equals(stamped)) {
            pairings.change(List.of(stamped));
        }
        return stamped;
    }

    /** Groups that are new in it hold nobody together whom no touch puts together; those that were there stay. */
    private void nobodyBarred(Pairing sent, List<Pairing.Together> before) {
        Set<Set<String>> were =
                before.stream().map(group -> Set.copyOf(group.people())).collect(Collectors.toSet());
        List<Pairing.Together> fresh = sent.groups().stream()
                .filter(group -> !were.contains(Set.copyOf(group.people())))
                .toList();
        if (fresh.isEmpty()) {
            return;
        }
        TrainingClass training = classes.trained(sent.classId());
        Snapshot now = taught.now();
        List<Block> asked = sent.block() == null
                ? training.blocks()
                : training.block(sent.block()).stream().toList();
        Work work = workOf(asked, now);
        List<String> all =
                fresh.stream().flatMap(group -> group.people().stream()).toList();
        List<Student> who = List.copyOf(stores.of(Parts.PEOPLE).find(all).values());
        Couples couples = new Couples(
                partners(who, training, now, work), work, new Before(training.id(), List.of()), now.numbers());
        for (Pairing.Together group : fresh) {
            couples.barred(group.people()).ifPresent(barred -> {
                throw Refusal.bad(
                        "PAIR_BARRED",
                        "/groups/" + sent.groups().indexOf(group),
                        named(barred.one(), who) + " and " + named(barred.other(), who) + " do not work together: "
                                + barred.why().words() + ".");
            });
        }
    }

    private static String named(String id, List<Student> who) {
        return who.stream()
                .filter(one -> one.id().equals(id))
                .map(Student::name)
                .findFirst()
                .orElse(id);
    }

    /**
     * Whom to call about somebody, as somebody with a telephone in the hand needs it.
     *
     * @param guest what they have said at the door, where they only visit
     */
    record CallFor(
            String student,
            @Nullable String emergency,
            @Nullable String emergencyPhone,
            @Nullable String guardian,
            @Nullable String guardianPhone,
            Student.@Nullable Guest guest) {}

    /** Whom to call about those who are here and those of the track: for an injury, without the server too. */
    @GetMapping("/classes/{id}/calls")
    @Transactional(readOnly = true)
    List<CallFor> calls(@PathVariable String id) {
        TrainingClass training = classes.trained(id);
        List<CallFor> calls = new ArrayList<>();
        for (Student student : roomOf(training, attendance.presentIn(id))) {
            Contacts its = student.contacts();
            calls.add(
                    its == null
                            ? new CallFor(student.id(), null, null, null, null, student.guest())
                            : new CallFor(
                                    student.id(),
                                    its.emergency(),
                                    its.emergencyPhone(),
                                    its.guardian(),
                                    its.guardianPhone(),
                                    student.guest()));
        }
        return calls;
    }
}
