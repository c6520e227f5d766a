package lynchet.server.rank;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import lynchet.core.people.Progress;
import lynchet.core.people.StudentState;
import lynchet.core.people.SyllabusTouches;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.OpenedClosed;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.rank.TeachingLoad;
import lynchet.server.club.Snapshot;
import lynchet.server.club.Taught;
import lynchet.server.mat.StudentStates;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** What a change of a rank's syllabus would do, before it is kept: whom it touches, what it opens and closes, its time. */
@Service
class SyllabusLook {

    /** So many are named; of the others only how many. */
    private static final int NAMED = 6;

    private final Taught taught;
    private final StudentStates states;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    SyllabusLook(Taught taught, StudentStates states, JdbcTemplate jdbc, Clock clock) {
        this.taught = taught;
        this.states = states;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * An item that somebody lacks now, or lacks no more.
     *
     * @param gives whether they lack it now
     * @param of how many it touches
     * @param names the first of them, as they are called
     */
    record Touch(Item item, boolean gives, int of, List<String> names) {}

    /**
     * What a change would do.
     *
     * @param wearers how many wear the rank
     * @param touched how many of them lack something else than before
     * @param opened what hangs together no more
     * @param closed what hangs together now
     * @param before minutes of teaching it takes now
     * @param after minutes it would take
     * @param available minutes there are
     */
    record Look(
            int wearers,
            int touched,
            List<Touch> touches,
            List<OpenedClosed.OfRank> opened,
            List<OpenedClosed.OfRank> closed,
            double before,
            double after,
            double available) {}

    Look at(Ladder ladder, Rank before, Rank after) {
        Snapshot now = taught.now();
        Ladder changed = ladder.withRank(after);
        SyllabusCheck check = new SyllabusCheck(
                now.graph(ladder.ruleset()), now.centrality(), now.taught().chains());
        OpenedClosed differs = OpenedClosed.between(check, ladder, check, changed);
        TeachingLoad.Load load = check.load(changed, after.id());
        Map<String, String> names = wearers(ladder.id(), before.id());
        List<SyllabusTouches> touches = touches(names.keySet(), before, after, now);
        return new Look(
                names.size(),
                SyllabusTouches.everybody(touches).size(),
                touches.stream()
                        .map(touch -> new Touch(
                                touch.item(),
                                touch.gives(),
                                touch.students().size(),
                                touch.students().stream()
                                        .limit(NAMED)
                                        .map(names::get)
                                        .toList()))
                        .toList(),
                differs.opened(),
                differs.closed(),
                check.load(ladder, before.id()).needed(),
                load.needed(),
                load.available());
    }

    private List<SyllabusTouches> touches(Set<String> students, Rank before, Rank after, Snapshot now) {
        if (students.isEmpty()) {
            return List.of();
        }
        Set<String> subjects = new HashSet<>();
        Stream.concat(before.items(), after.items())
                .forEach(item -> subjects.addAll(Progress.subjects(item, now.map())));
        Map<String, StudentState> all = states.of(students, subjects);
        Map<String, Progress> progress = new LinkedHashMap<>();
        students.forEach(student ->
                progress.put(student, new Progress(all.getOrDefault(student, StudentState.empty()), now.map())));
        LocalDate day = LocalDate.now(clock);
        return SyllabusTouches.of(before, after, progress, day);
    }

    /** Those who wear a rank, by id, with what they are called by. */
    private Map<String, String> wearers(String ladder, String rank) {
        Map<String, String> names = new LinkedHashMap<>();
        jdbc.query(
                "select s.id, s.called_by from student_ladder l join student s on s.id = l.student"
                        + " where l.ladder = ? and l.rank_id = ? and s.left_on is null order by s.name, s.id",
                row -> {
                    names.put(row.getString(1), row.getString(2));
                },
                ladder,
                rank);
        return names;
    }
}
