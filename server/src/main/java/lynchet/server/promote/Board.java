package lynchet.server.promote;

import java.sql.Date;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Promotion;
import lynchet.core.people.Readiness;
import lynchet.core.people.Student;
import lynchet.core.promote.BeltOrder;
import lynchet.core.promote.Flag;
import lynchet.core.promote.HandOver;
import lynchet.core.promote.Nomination;
import lynchet.core.rank.Ladder;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Refusal;
import lynchet.server.people.People;
import lynchet.server.people.Promoting;
import lynchet.server.people.Roster;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** Where everybody on a ladder stands before a window. */
@Service
class Board {

    /** How many windows one looks ahead. */
    private static final int WINDOWS = 4;

    private final NominationStore nominations;
    private final Promoting promoting;
    private final People people;
    private final Roster roster;
    private final TeachingSnapshots taught;
    private final JdbcTemplate jdbc;

    Board(
            NominationStore nominations,
            Promoting promoting,
            People people,
            Roster roster,
            TeachingSnapshots taught,
            JdbcTemplate jdbc) {
        this.nominations = nominations;
        this.promoting = promoting;
        this.people = people;
        this.roster = roster;
        this.taught = taught;
        this.jdbc = jdbc;
    }

    /**
     * Somebody on the bank.
     *
     * @param stripes stripes on the rank held
     * @param nextRank null: the top of the ladder
     * @param stripe the next stripe by count of classes; null where stripes do not go by classes, or all are there
     * @param window the first window after everything is projected to be met; null: it cannot be told
     */
    record OnBank(
            Flag flag,
            String name,
            String calledBy,
            int stripes,
            LocalDate since,
            @Nullable String nextRank,
            Readiness.Verdict verdict,
            int passedOver,
            @Nullable LocalDate window,
            Readiness.@Nullable Stripe stripe,
            @Nullable Nomination nomination) {}

    /** Something that was given lately, and to whom. */
    record GivenView(Promotion promotion, String name) {}

    /**
     * @param window first day of the window's month
     * @param windows the present window or the next one, and those after it
     * @param standing by rank from below, then the furthest up first, then by name
     * @param given what was given lately and stands, the oldest first
     */
    record BoardView(
            String ladder,
            LocalDate window,
            List<LocalDate> windows,
            boolean isOpen,
            List<OnBank> standing,
            List<GivenView> given) {}

    /** @param asked the first of a month with a window to come; null: the present one */
    BoardView of(String id, @Nullable LocalDate asked) {
        Ladder ladder = ladder(id);
        LocalDate today = people.today();
        List<LocalDate> windows = windows(ladder, today);
        LocalDate window = asked == null ? windows.get(0) : asked;
        if (!windows.contains(window)) {
            throw Refusal.bad("NO_WINDOW", "window", "The windows to come are " + windows + ".");
        }
        Map<String, Nomination> forward = new HashMap<>();
        nominations.at(id, window).forEach(one -> forward.put(one.student() + " " + one.rank(), one));
        List<String> students = jdbc.queryForList(
                "select l.student from student_ladder l join student s on s.id = l.student"
                        + " where l.ladder = ? and s.left_on is null order by l.student",
                String.class,
                id);
        List<OnBank> standing = new ArrayList<>();
        for (Roster.Standing one : roster.of(students, today, Readiness.Eyes.COACH)) {
            one.readiness().stream()
                    .filter(readiness -> readiness.ladder().equals(id))
                    .forEach(readiness -> standing.add(standing(one, readiness, forward, window)));
        }
        standing.sort(
                Comparator.comparing((OnBank one) -> ladder.indexOf(one.flag().rank()))
                        .thenComparing(one -> -one.flag().share())
                        .thenComparing(OnBank::name));
        return new BoardView(
                id,
                window,
                windows,
                !window.isAfter(today),
                standing,
                promoting.lately(id).stream()
                        .map(given ->
                                new GivenView(given, people.one(given.student()).name()))
                        .toList());
    }

    private static OnBank standing(
            Roster.Standing one, Readiness readiness, Map<String, Nomination> forward, LocalDate window) {
        Student student = one.student();
        Nomination nomination = forward.get(student.id() + " " + readiness.rank());
        HeldRank held = one.held().stream()
                .filter(rank -> rank.ladder().equals(readiness.ladder()))
                .findFirst()
                .orElseThrow();
        return new OnBank(
                Flag.of(readiness, nomination != null, window),
                student.name(),
                student.calledBy(),
                held.stripes(),
                held.since(),
                readiness.nextRank(),
                readiness.verdict(),
                readiness.passedOver(),
                readiness.window(),
                readiness.stripe(),
                nomination);
    }

    private static List<LocalDate> windows(Ladder ladder, LocalDate today) {
        List<LocalDate> windows = new ArrayList<>();
        LocalDate next = ladder.policy().window(today);
        for (int i = 0; i < WINDOWS; i++) {
            windows.add(next);
            next = ladder.policy().window(next.plusMonths(1));
        }
        return windows;
    }

    Ladder ladder(String id) {
        return taught.now().ladders().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("ladder", id));
    }

    /** Belts for those who are put forward at the window and not promoted yet, and for ranks that are not announced. */
    List<BeltOrder.NeededBelt> wanted(String id) {
        Ladder ladder = ladder(id);
        List<BeltOrder.NeededBelt> wanted = new ArrayList<>();
        promoting.lately(id).stream()
                .filter(given -> !given.onSameRank() && given.announced() == null)
                .forEach(given -> wanted.add(wanted(ladder, given.to(), given.student())));
        for (Nomination one : nominations.at(id, ladder.policy().window(people.today()))) {
            people.state(one.student())
                    .heldOn(id)
                    .filter(held -> held.rank().equals(one.rank()))
                    .flatMap(held -> ladder.after(held.rank()))
                    .ifPresent(next -> wanted.add(wanted(ladder, next.id(), one.student())));
        }
        return wanted;
    }

    private BeltOrder.NeededBelt wanted(Ladder ladder, String rank, String id) {
        Student student = people.one(id);
        return new BeltOrder.NeededBelt(
                student.name(), ladder.rank(rank).orElseThrow().colours(), student.beltSize());
    }

    /** Somebody who grows out of a ladder. */
    record Leaving(HandOver handOver, String name, LocalDate born) {}

    /** Who has grown out of a ladder, or will have until a day; the eldest first. */
    List<Leaving> leaving(LocalDate until) {
        Snapshot now = taught.now();
        List<Leaving> leaving = new ArrayList<>();
        for (Ladder ladder : now.ladders()) {
            Optional<Ladder> next = now.ladders().stream()
                    .filter(one -> one.id().equals(ladder.nextLadder()))
                    .findFirst();
            if (next.isEmpty() || ladder.toAge() == 0) {
                continue;
            }
            List<String> old = jdbc.queryForList(
                    "select l.student from student_ladder l join student s on s.id = l.student"
                            + " where l.ladder = ? and s.left_on is null and s.born <= ? order by s.born, l.student",
                    String.class,
                    ladder.id(),
                    Date.valueOf(until.minusYears(ladder.toAge())));
            for (String id : old) {
                Student student = people.one(id);
                HandOver.of(student, people.state(id), ladder, next, now.map(), until)
                        .ifPresent(one -> leaving.add(new Leaving(one, student.name(), student.born())));
            }
        }
        return leaving;
    }
}
