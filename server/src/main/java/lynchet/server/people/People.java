package lynchet.server.people;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Promotion;
import lynchet.core.people.PromotionBuilder;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.format.csv.Member;
import lynchet.format.csv.Roll;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Journal;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Progress;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.StudentStates;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who trains here and which ranks they hold; made and changed by hand or from a sheet. */
@Service
public class People {

    private final StudentStore students;
    private final PromotionStore promotions;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final Journal journal;
    private final PersonOf persons;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    People(
            StudentStore students,
            PromotionStore promotions,
            StudentStates states,
            TeachingSnapshots taught,
            ReferenceCheck known,
            Journal journal,
            PersonOf persons,
            Clock clock) {
        this.students = students;
        this.promotions = promotions;
        this.states = states;
        this.taught = taught;
        this.known = known;
        this.journal = journal;
        this.persons = persons;
        this.clock = clock;
    }

    public LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Who else is reached by the same address or number: parents and children, brothers and sisters. */
    public List<Student> familyOf(String id) {
        return students.familyOf(id).stream().map(this::one).toList();
    }

    /** An id that says nothing about the person who gets it. */
    public String newId() {
        byte[] bytes = new byte[8];
        random.nextBytes(bytes);
        return "s-" + HexFormat.of().formatHex(bytes);
    }

    /** @throws Refusal 404 if there is nobody with this id */
    public Student one(String id) {
        return students.find(id).orElseThrow(() -> Refusal.missing("student", id));
    }

    public boolean has(String id) {
        return students.has(Target.STUDENT, id);
    }

    /** @throws Refusal 404 if nobody carries this card */
    public Student byCard(String card) {
        return students.byCard(card).orElseThrow(() -> Refusal.missing("card", card));
    }

    /** How a student stands. */
    public StudentState state(String id) {
        return states.of(List.of(id)).get(id);
    }

    /** Whether an id is a random one, as {@link #newId} makes them. */
    static boolean saysNothing(String id) {
        return id.matches("s-[0-9a-f]{16}");
    }

    /** Nobody reads what coaches wrote about themselves. */
    Student seenByThemselves(Student student) {
        return isTheirOwn(student.id()) ? student.withNotes("") : student;
    }

    /** @throws Refusal 403 if the person who is signed in is that student: nobody judges themselves */
    public void notThemselves(String student) {
        persons.judges(student);
    }

    private boolean isTheirOwn(String student) {
        return persons.account(Journal.who()).filter(student::equals).isPresent();
    }

    /** Those who train on a track, who left among them. */
    @Transactional(readOnly = true)
    public List<Student> onTrack(String track) {
        return students.pointingAt(Target.TRACK, List.of(track), Integer.MAX_VALUE);
    }

    /** Those who wear a rank now and have not left, in order of id. */
    @Transactional(readOnly = true)
    public List<Student> wearing(String ladder, String rank) {
        return students.wearing(ladder, rank);
    }

    /** Those who train on a track now, in order of id, at most so many. */
    @Transactional(readOnly = true)
    public List<Student> trainingOn(String track, int most) {
        return students.trainingOn(track, most);
    }

    /**
     * Adds somebody; the same again is the first answer.
     *
     * @throws Refusal 409 if somebody else has the id
     */
    @Transactional
    public Student add(Student student) {
        Optional<Student> kept = students.find(student.id());
        if (kept.isPresent() && !kept.get().equals(student)) {
            throw Refusal.taken(student.id(), "Somebody else has this id.");
        }
        return kept.orElseGet(() -> put(student, null));
    }

    /** Adds somebody, or changes somebody who is still as the caller saw them. Health and contacts stay off the journal. */
    @Transactional
    public Student put(Student sent, String ifMatch) {
        Optional<Student> before = students.find(sent.id());
        Student student = before.isPresent() && isTheirOwn(sent.id())
                ? sent.withNotes(before.get().notes())
                : sent;
        known.check(Parts.PEOPLE, student);
        students.clashing(List.of(student)).values().stream().findFirst().ifPresent(why -> {
            String whose = students.byCard(student.card()).orElseThrow().name();
            throw Refusal.bad("CARD_UNIQUE", "/card", "The card " + student.card() + " belongs to " + whose + ".");
        });
        if (before.isEmpty()) {
            students.add(List.of(student));
            journal.write("add", "student", student.id(), null, student.withoutPrivate());
        } else {
            ETags.match(ifMatch, seenByThemselves(before.get()), student.id());
            change(before.get(), student);
        }
        states.changed(Set.of(student.id()));
        return student;
    }

    /**
     * Changes several people as one: all of them or none. Nobody writes about themselves where others judge.
     *
     * @throws Refusal 404 naming the person who is not there
     */
    @Transactional
    public List<Student> changeMany(List<String> ids, UnaryOperator<Student> change) {
        List<Student> changed = new ArrayList<>();
        for (String id : ids) {
            Student before = one(id);
            Student after = change.apply(before);
            known.check(Parts.PEOPLE, after);
            change(before, after);
            changed.add(after);
        }
        states.changed(Set.copyOf(ids));
        return changed;
    }

    private void change(Student before, Student after) {
        if (!before.equals(after)) {
            students.change(List.of(after));
            journal.write("change", "student", after.id(), before.withoutPrivate(), after.withoutPrivate());
        }
    }

    /** Runs a change of people while no other one runs: two must not get one card. */
    public <T> T inTurn(java.util.function.Supplier<T> change) {
        return taught.inTurn(change);
    }

    /** The belts and stripes of a student, the oldest first. */
    public List<Promotion> promotionsOf(String student) {
        return promotions.of(student);
    }

    /** The people as a sheet names them. */
    public Roll roll() {
        return new Roll() {
            @Override
            public Optional<Member> byId(String id) {
                return students.find(id).map(People.this::member);
            }

            @Override
            public Optional<Member> byCard(String card) {
                return students.byCard(card).map(People.this::member);
            }

            @Override
            public List<Member> named(String name) {
                return students.named(name).stream().map(People.this::member).toList();
            }
        };
    }

    private Member member(Student student) {
        Map<String, HeldRank> held = HeldRank.of(promotions.of(student.id()));
        return new Member(student, List.copyOf(held.values()));
    }

    /** Hands everybody on, in order of id. */
    @Transactional(readOnly = true)
    public void each(Consumer<Member> to) {
        students.each(student -> to.accept(member(student)));
    }

    /** Adds many and changes some as a sheet says, all of them checked, in the caller's transaction. */
    @Transactional
    public void take(List<Member> added, List<Member> changed, Progress progress) {
        int done = 0;
        for (Member member : added) {
            if (done++ % 100 == 0) {
                progress.at("people", done, added.size() + changed.size());
            }
            students.add(List.of(member.student()));
            journal.write(
                    "add",
                    "student",
                    member.student().id(),
                    null,
                    member.student().withoutPrivate());
            member.held().forEach(held -> given(member.student(), null, held));
        }
        for (Member member : changed) {
            Student before = one(member.student().id());
            Map<String, HeldRank> held = HeldRank.of(promotions.of(before.id()));
            change(before, member.student());
            member.held().stream()
                    .filter(now -> !now.equals(held.get(now.ladder())))
                    .forEach(now -> given(before, held.get(now.ladder()), now));
        }
        List<String> touched = java.util.stream.Stream.concat(added.stream(), changed.stream())
                .map(member -> member.student().id())
                .toList();
        states.recount(touched);
    }

    /** What they came with is corrected where it stands; anything else is a promotion on the day the sheet says. */
    private void given(Student student, HeldRank before, HeldRank now) {
        List<Promotion> onLadder = promotions.of(student.id()).stream()
                .filter(p -> p.ladder().equals(now.ladder()))
                .toList();
        boolean corrects = now.fromBefore() && onLadder.size() == 1;
        String id = corrects ? onLadder.get(0).id() : "pr-" + newId();
        boolean isStripe = before != null
                && before.rank().equals(now.rank())
                && before.since().equals(now.since());
        Promotion promotion = PromotionBuilder.builder()
                .id(id)
                .student(student.id())
                .ladder(now.ladder())
                .from(corrects || before == null ? null : before.rank())
                .to(now.rank())
                .stripes(now.stripes())
                .date(isStripe && !corrects ? today() : now.since())
                .fromBefore(now.fromBefore())
                .reason(now.fromBefore() ? "" : "from a sheet")
                .at(clock.instant().truncatedTo(java.time.temporal.ChronoUnit.MILLIS))
                .by(Journal.who())
                .build();
        if (corrects) {
            promotions.change(List.of(promotion));
        } else {
            promotions.add(List.of(promotion));
        }
        journal.write("add", "promotion", id, null, Objects.requireNonNullElse(now, promotion));
    }
}
