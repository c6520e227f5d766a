package lynchet.server.people;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Parts;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.people.SyllabusMove;
import lynchet.core.rank.Ladder;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps who was moved to another version of a syllabus, and says which version is asked of whom. */
@Service
public class SyllabusMoves extends BodyRecords<SyllabusMove, SyllabusMoveRow> {

    SyllabusMoves(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.SYLLABUS_MOVES, SyllabusMoveRow.class, SyllabusMoveRow::new, null);
    }

    /** Those of some people. */
    public record Of(Map<String, Map<String, SyllabusMove>> byStudent) {

        /** The ladder as its syllabus is asked of them; as it stands where they hold no rank on it. */
        public Ladder asked(Ladder ladder, Student student, StudentState state) {
            return state.heldOn(ladder.id())
                    .map(held -> SyllabusMove.asked(
                            ladder,
                            held,
                            student.joined(),
                            byStudent.getOrDefault(student.id(), Map.of()).get(ladder.id())))
                    .orElse(ladder);
        }

        /** The same of several ladders. */
        public List<Ladder> asked(List<Ladder> ladders, Student student, StudentState state) {
            return ladders.stream().map(ladder -> asked(ladder, student, state)).toList();
        }
    }

    @Transactional(readOnly = true)
    public Of of(Collection<String> students) {
        Map<String, Map<String, SyllabusMove>> all = new HashMap<>();
        kept(students).forEach(move -> all.computeIfAbsent(move.student(), student -> new HashMap<>())
                .put(move.ladder(), move));
        return new Of(all);
    }

    private List<SyllabusMove> kept(Collection<String> students) {
        List<SyllabusMove> all = new java.util.ArrayList<>();
        handfuls(
                List.copyOf(students),
                some -> all.addAll(core(entities()
                        .createQuery(from() + "where r.student in :students order by r.id", SyllabusMoveRow.class)
                        .setParameter("students", some)
                        .getResultList())));
        return all;
    }

    @Override
    public Map<SyllabusMove, String> clashing(List<SyllabusMove> moves) {
        Of kept = of(moves.stream().map(SyllabusMove::student).distinct().toList());
        Map<SyllabusMove, String> clashes = new LinkedHashMap<>();
        moves.forEach(move -> {
            SyllabusMove there =
                    kept.byStudent().getOrDefault(move.student(), Map.of()).get(move.ladder());
            if (there != null && !there.id().equals(move.id())) {
                clashes.put(move, "it is said already which syllabus they stand on");
            }
        });
        return clashes;
    }
}
