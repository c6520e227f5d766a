package lynchet.server.exchange;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import lynchet.core.mat.TrainingClass;
import lynchet.format.csv.AttendanceCsv;
import lynchet.format.csv.Member;
import lynchet.format.csv.Roll;

/** What a sheet names, looked up once and remembered while that sheet is read: most lines name the same few. */
final class SheetLookups implements Roll, AttendanceCsv.Classes {

    private final Roll roll;
    private final AttendanceCsv.Classes classes;
    private final Function<String, List<String>> present;
    private final Map<String, Optional<Member>> ids = new HashMap<>();
    private final Map<String, Optional<Member>> cards = new HashMap<>();
    private final Map<String, List<Member>> names = new HashMap<>();
    private final Map<String, Optional<TrainingClass>> trained = new HashMap<>();
    private final Map<LocalDate, List<TrainingClass>> days = new HashMap<>();
    private final Map<String, Set<String>> there = new HashMap<>();

    /** @param present ids of the students in a class */
    SheetLookups(Roll roll, AttendanceCsv.Classes classes, Function<String, List<String>> present) {
        this.roll = roll;
        this.classes = classes;
        this.present = present;
    }

    @Override
    public Optional<Member> byId(String id) {
        return ids.computeIfAbsent(id, roll::byId);
    }

    @Override
    public Optional<Member> byCard(String card) {
        return cards.computeIfAbsent(card, roll::byCard);
    }

    @Override
    public List<Member> named(String name) {
        return names.computeIfAbsent(Roll.fold(name), roll::named);
    }

    @Override
    public List<TrainingClass> on(LocalDate day) {
        return days.computeIfAbsent(day, classes::on);
    }

    /** The class of an id. */
    @Override
    public Optional<TrainingClass> trained(String id) {
        return trained.computeIfAbsent(id, classes::trained);
    }

    /** Whether a student is in a class. */
    boolean isThere(String student, String classId) {
        return there.computeIfAbsent(classId, id -> new HashSet<>(present.apply(id)))
                .contains(student);
    }
}
