package lynchet.server.mat;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.rank.Ladder;
import lynchet.server.keep.Change;
import org.jspecify.annotations.Nullable;

/**
 * Whose state an edit touches, and in which subjects.
 *
 * @param students ids of people
 * @param subjects ids of techniques and chains; null: every subject
 * @param everybody whether classes are counted in another way than before, for all
 */
record AffectedStudents(Set<String> students, @Nullable List<String> subjects, boolean everybody) {

    /**
     * @param inClass those of whom a class says something
     * @param whoDid those who did a link in a round
     */
    static AffectedStudents by(
            Club before, Club after, Function<String, List<String>> inClass, Function<String, List<String>> whoDid) {
        Looking looking = new Looking(before, after);
        looking.at(Parts.ATTENDANCE, there -> looking.inAll(List.of(there.student())));
        looking.at(Parts.CLASSES, trained -> looking.inAll(inClass.apply(trained.id())));
        looking.at(Parts.PRACTICE, entry -> looking.in(entry.subject(), inClass.apply(entry.classId())));
        looking.at(Parts.MARKS, mark -> looking.in(mark.subject(), List.of(mark.student())));
        looking.at(Parts.CREDITS, credit -> looking.in(credit.subject(), List.of(credit.student())));
        looking.at(Parts.BROUGHT, brought -> brought.had()
                .forEach(had -> looking.in(had.subject(), List.of(brought.student()))));
        looking.at(Parts.SYLLABUS_MOVES, move -> looking.students.add(move.student()));
        looking.at(Parts.ROUNDS, round -> looking.inAll(round.members()));
        looking.at(Parts.LINKS, link -> looking.in(link.technique(), whoDid.apply(link.id())));
        return new AffectedStudents(
                Set.copyOf(looking.students),
                looking.everySubject ? null : List.copyOf(looking.subjects),
                !counting(before).equals(counting(after)));
    }

    private static final class Looking {

        private final Club before;
        private final Club after;
        private final Set<String> students = new HashSet<>();
        private final Set<String> subjects = new HashSet<>();
        private boolean everySubject;

        private Looking(Club before, Club after) {
            this.before = before;
            this.after = after;
        }

        private <T> void at(Part<T> part, Consumer<T> touched) {
            for (Change<T> change : Change.between(part, before.all(part), after.all(part))) {
                if (change.before() != null) {
                    touched.accept(change.before());
                }
                if (change.after() != null) {
                    touched.accept(change.after());
                }
            }
        }

        private void in(String subject, List<String> whose) {
            subjects.add(subject);
            students.addAll(whose);
        }

        private void inAll(List<String> whose) {
            everySubject = true;
            students.addAll(whose);
        }
    }

    /** How classes are counted on each ladder. */
    private static Map<String, List<Object>> counting(Club club) {
        Map<String, List<Object>> counting = new HashMap<>();
        for (Ladder ladder : club.ladders()) {
            counting.put(ladder.id(), List.of(ladder.tracks(), ladder.policy().oneClassADay()));
        }
        return counting;
    }
}
