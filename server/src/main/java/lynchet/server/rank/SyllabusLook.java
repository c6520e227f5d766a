package lynchet.server.rank;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
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
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.mat.StudentStates;
import org.springframework.stereotype.Service;

/** What a change of a rank's syllabus would do, before it is kept: whom it touches, what it opens and closes, its time. */
@Service
class SyllabusLook {

    /** So many are named; of the others only how many. */
    private static final int NAMED = 6;

    private final TeachingSnapshots taught;
    private final StudentStates states;
    private final Wearers wearers;
    private final Clock clock;

    SyllabusLook(TeachingSnapshots taught, StudentStates states, Wearers wearers, Clock clock) {
        this.taught = taught;
        this.states = states;
        this.wearers = wearers;
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
     * What a change does to one rank.
     *
     * @param wearers how many wear it and stand on this syllabus
     * @param earlier how many wear it and stand on an earlier one
     * @param touched how many of the wearers lack something else than before
     * @param before minutes of teaching it takes now
     * @param after minutes it would take
     * @param available minutes there are
     */
    record RankLook(
            String rank,
            int wearers,
            int earlier,
            int touched,
            List<Touch> touches,
            double before,
            double after,
            double available) {}

    /**
     * What a change would do.
     *
     * @param ranks those that would ask something else, in the order of the ladder
     * @param opened what hangs together no more
     * @param closed what hangs together now
     */
    record Look(List<RankLook> ranks, List<OpenedClosed.OfRank> opened, List<OpenedClosed.OfRank> closed) {}

    /** @param ladder as it is before, with a new syllabus begun where that is asked */
    Look at(Ladder ladder, Ladder changed) {
        Snapshot now = taught.now();
        SyllabusCheck check = now.check(ladder);
        OpenedClosed differs = OpenedClosed.between(check, ladder, check, changed);
        return new Look(
                changed.ranks().stream()
                        .filter(rank -> !rank.equals(ladder.rank(rank.id()).orElseThrow()))
                        .map(after -> ofRank(ladder, changed, after, check, now))
                        .toList(),
                differs.opened(),
                differs.closed());
    }

    private RankLook ofRank(Ladder ladder, Ladder changed, Rank after, SyllabusCheck check, Snapshot now) {
        Rank before = ladder.rank(after.id()).orElseThrow();
        TeachingLoad.Load load = check.load(changed, after.id());
        List<Wearers.Wearer> all = wearers.of(ladder, before.id());
        List<Wearers.Wearer> here = all.stream()
                .filter(one -> one.version() == ladder.earlier().size())
                .toList();
        List<SyllabusTouches> touches =
                touches(here.stream().map(Wearers.Wearer::student).toList(), before, after, now);
        return new RankLook(
                after.id(),
                here.size(),
                all.size() - here.size(),
                SyllabusTouches.everybody(touches).size(),
                named(touches, here),
                check.load(ladder, before.id()).needed(),
                load.needed(),
                load.available());
    }

    static List<Touch> named(List<SyllabusTouches> touches, List<Wearers.Wearer> all) {
        Map<String, String> names =
                all.stream().collect(Collectors.toMap(Wearers.Wearer::student, Wearers.Wearer::calledBy));
        return touches.stream()
                .map(touch -> new Touch(
                        touch.item(),
                        touch.gives(),
                        touch.students().size(),
                        touch.students().stream().limit(NAMED).map(names::get).toList()))
                .toList();
    }

    List<SyllabusTouches> touches(List<String> students, Rank before, Rank after, Snapshot now) {
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
}
