package lynchet.server.people;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import lynchet.core.club.Parts;
import lynchet.core.mat.Side;
import lynchet.core.people.Brought;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Lead;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.server.club.Snapshot;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Journal;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.StudentStates;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Says of people who came with a rank what they knew already: one answer a person and ladder, many of them as one edit. To
 * be run in turn, so that nobody is answered for twice.
 */
@Service
class Bringing {

    private final BroughtStore brought;
    private final Stores stores;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final Journal journal;
    private final PersonOf persons;
    private final People people;
    private final Clock clock;

    Bringing(
            BroughtStore brought,
            Stores stores,
            StudentStates states,
            TeachingSnapshots taught,
            Journal journal,
            PersonOf persons,
            People people,
            Clock clock) {
        this.brought = brought;
        this.stores = stores;
        this.states = states;
        this.taught = taught;
        this.journal = journal;
        this.persons = persons;
        this.people = people;
        this.clock = clock;
    }

    /** Somebody of whom it was not said, and why, as the end of a sentence that begins with their name. */
    record LeftOut(String student, String name, String why) {}

    /**
     * What came of it.
     *
     * @param people of how many it is said now
     * @param things how many things they have by it altogether
     */
    record BroughtSaid(int people, int things, List<LeftOut> leftOut) {}

    /** Says it of each of them, on every ladder on which they came with a rank. */
    @Transactional
    BroughtSaid say(List<String> students, Brought.Answer answer) {
        Map<String, Student> found = stores.of(Parts.PEOPLE).find(students);
        Map<String, StudentState> stand = states.of(students, List.of());
        Map<String, Brought> before = new HashMap<>();
        brought.of(students).forEach(one -> before.put(key(one.student(), one.ladder()), one));
        String own = persons.account(Journal.who()).orElse(null);
        Writing writing = new Writing(before, answer);
        List<LeftOut> leftOut = new ArrayList<>();
        Set<String> said = new LinkedHashSet<>();
        for (String id : new LinkedHashSet<>(students)) {
            Student student = found.get(id);
            String why = id.equals(own)
                    ? "is you: another head coach says it"
                    : writing.of(student, stand.getOrDefault(id, StudentState.empty()), said);
            if (why != null) {
                leftOut.add(new LeftOut(id, student.name(), why));
            }
        }
        writing.write();
        return new BroughtSaid(said.size(), writing.things, leftOut);
    }

    private static String key(String student, String ladder) {
        return student + "/" + ladder;
    }

    /** Takes back what was said of one on a ladder. */
    @Transactional
    Brought takeBack(String student, String ladder) {
        people.notThemselves(student);
        Brought there = brought.of(List.of(student)).stream()
                .filter(one -> one.ladder().equals(ladder))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("brought", ladder));
        brought.remove(List.of(there.id()));
        journal.write("remove", "brought", there.id(), there, null);
        states.brought(
                Set.of(student),
                there.had().stream().map(Brought.Had::subject).collect(java.util.stream.Collectors.toSet()));
        return there;
    }

    /** What is to be written, collected over many people and written at once. */
    private final class Writing {

        private final Map<String, Brought> before;
        private final Brought.Answer answer;
        private final Snapshot now = taught.now();
        private final Instant at = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        private final Map<String, List<Brought.Had>> below = new HashMap<>();
        private final List<Brought> added = new ArrayList<>();
        private final List<Brought> removed = new ArrayList<>();
        private int things;

        Writing(Map<String, Brought> before, Brought.Answer answer) {
            this.before = before;
            this.answer = answer;
        }

        /** @return why nothing is said of them; null: it is */
        private String of(Student student, StudentState state, Set<String> said) {
            String why = "came with no rank";
            for (Ladder ladder : now.ladders()) {
                HeldRank held =
                        state.heldOn(ladder.id()).filter(HeldRank::fromBefore).orElse(null);
                if (held == null) {
                    continue;
                }
                if (!Brought.isAskedBelow(ladder, held.rank())) {
                    why = "came with "
                            + ladder.rank(held.rank()).map(Rank::name).orElse(held.rank())
                            + ", and nothing is asked below it";
                    continue;
                }
                said.add(student.id());
                answer(student, ladder, held.rank());
            }
            return said.contains(student.id()) ? null : why;
        }

        private void answer(Student student, Ladder ladder, String rank) {
            Brought there = before.get(key(student.id(), ladder.id()));
            if (there != null && (answer == Brought.Answer.ASKED || isSame(there, rank))) {
                return;
            }
            if (there != null) {
                removed.add(there);
            }
            List<Brought.Had> had = answer == Brought.Answer.ALL ? had(student, ladder, rank) : List.of();
            things += had.size();
            added.add(new Brought(
                    "br-" + UUID.randomUUID(),
                    student.id(),
                    ladder.id(),
                    rank,
                    answer,
                    had,
                    people.today(),
                    at,
                    Journal.who()));
        }

        private boolean isSame(Brought there, String rank) {
            return there.answer() == answer && there.below().equals(rank);
        }

        private List<Brought.Had> had(Student student, Ladder ladder, String rank) {
            Side own = student.lead() == Lead.LEFT ? Side.LEFT : Side.RIGHT;
            return below.computeIfAbsent(
                    key(ladder.id(), rank) + own, key -> Brought.allBelow(ladder, rank, now.map(), own));
        }

        private void write() {
            brought.remove(removed.stream().map(Brought::id).toList());
            brought.add(added);
            Set<String> touched = new HashSet<>();
            Set<String> subjects = new HashSet<>();
            removed.forEach(one -> journal.write("remove", "brought", one.id(), one, null));
            added.forEach(one -> journal.write("add", "brought", one.id(), null, one));
            for (List<Brought> some : List.of(removed, added)) {
                some.forEach(one -> {
                    touched.add(one.student());
                    one.had().forEach(had -> subjects.add(had.subject()));
                });
            }
            if (!touched.isEmpty()) {
                states.brought(touched, subjects);
            }
        }
    }
}
