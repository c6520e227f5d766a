package lynchet.server.mat;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Mark;
import lynchet.server.club.Stores;
import lynchet.server.keep.PartStore;
import lynchet.server.keep.Progress;
import org.springframework.stereotype.Service;

/** Takes in records that a sheet holds, all of them checked, in the caller's transaction. */
@Service
public class SheetRecords {

    private final Stores stores;
    private final StudentStates states;

    SheetRecords(Stores stores, StudentStates states) {
        this.stores = stores;
        this.states = states;
    }

    public void takeAttendance(List<Attendance> added, Progress progress) {
        take(Parts.ATTENDANCE, added, Attendance::student, progress);
    }

    public void takeMarks(List<Mark> added, Progress progress) {
        take(Parts.MARKS, added, Mark::student, progress);
    }

    private <T> void take(Part<T> part, List<T> added, Function<T, String> student, Progress progress) {
        for (int from = 0; from < added.size(); from += PartStore.BATCH_SIZE) {
            progress.at(part.name(), from, added.size());
            stores.of(part).add(added.subList(from, Math.min(added.size(), from + PartStore.BATCH_SIZE)));
        }
        states.foldAgain(added.stream().map(student).collect(Collectors.toSet()), null);
    }
}
