package lynchet.server.erase;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.Contacts;
import lynchet.core.people.Student;
import lynchet.core.safety.Incident;
import lynchet.format.Json;
import lynchet.server.club.Stores;
import lynchet.server.copies.Copies;
import lynchet.server.keep.Disk;
import lynchet.server.keep.Durable;
import lynchet.server.keep.PartStore;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.People;
import lynchet.server.tell.Letters;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Erases a person. Everything personal goes, from the records, the journal, the letters and every account that names them;
 * what they took part in stays under a random id, so that classes and faults are still counted. Copies taken before still
 * hold them, and are named; free text that names them is listed, since only a coach can say what is meant.
 */
@Service
class Erasing {

    /** Where a person stands in a column of their own. */
    private static final Map<String, List<String>> COLUMNS = Map.of(
            "attendance", List.of("student"),
            "practice", List.of("student"),
            "practice_except", List.of("student"),
            "mark", List.of("student"),
            "promotion", List.of("student"),
            "credit", List.of("student"),
            "merit", List.of("student"),
            "attendance_gone", List.of("student"),
            "round", List.of("first_student", "second_student"));

    private static final int MOST_MENTIONS = 100;
    /** A name of fewer letters says nobody. */
    private static final int SHORTEST = 3;

    private final People people;
    private final Stores stores;
    private final StudentStates states;
    private final PersonOf persons;
    private final Letters letters;
    private final Copies copies;
    private final Durable durable;
    private final Disk disk;
    private final TransactionTemplate transaction;
    private final JdbcTemplate jdbc;
    private final FreeTexts freeTexts;

    Erasing(
            People people,
            Stores stores,
            StudentStates states,
            PersonOf persons,
            Letters letters,
            Copies copies,
            Durable durable,
            Disk disk,
            TransactionTemplate transaction,
            JdbcTemplate jdbc,
            FreeTexts freeTexts) {
        this.people = people;
        this.stores = stores;
        this.states = states;
        this.persons = persons;
        this.letters = letters;
        this.copies = copies;
        this.durable = durable;
        this.disk = disk;
        this.transaction = transaction;
        this.jdbc = jdbc;
        this.freeTexts = freeTexts;
    }

    /**
     * Free text that names somebody.
     *
     * @param canGo whether the name goes with them where that is asked; elsewhere it is taken out by hand
     */
    record Mention(String kind, String id, String text, boolean canGo) {}

    /**
     * What came of it.
     *
     * @param copies names of the copies that still hold them
     */
    record Erased(Map<String, Integer> kept, List<Mention> mentions, List<String> copies) {}

    /**
     * Erases somebody while nobody else writes.
     *
     * @param name their name as it is written, so that nobody is erased by a slip
     * @param fromText whether the name goes from the records' free text as well
     */
    Erased erase(String id, String name, boolean fromText) {
        Student gone = people.one(id);
        if (name == null || !gone.name().equals(name.strip())) {
            throw Refusal.bad("NAME_DIFFERS", "/name", "Write the name as it stands: " + gone.name() + ".");
        }
        people.notThemselves(id);
        stillGives(gone);
        disk.writeAnewAtTheEnd();
        Map<String, Integer> kept = durable.writeAlone(
                () -> people.inTurn(() -> transaction.execute(status -> replace(gone, people.newId(), fromText))));
        persons.forget(id);
        letters.forget(words(gone));
        return new Erased(kept, mentions(gone), copies.names());
    }

    /** Somebody who still gives a weekly time is not erased: another coach has to be named first. */
    private void stillGives(Student gone) {
        stores.of(Parts.TRACKS).all().stream()
                .filter(track ->
                        track.slots().stream().anyMatch(slot -> gone.id().equals(slot.coach())))
                .findFirst()
                .ifPresent(track -> {
                    throw Refusal.bad(
                            "GIVES_CLASSES",
                            "/name",
                            gone.name() + " still gives " + track.name()
                                    + ". Say who gives it first, under House, Tracks.");
                });
    }

    private Map<String, Integer> replace(Student gone, String other, boolean fromText) {
        Map<String, Integer> kept = new LinkedHashMap<>();
        PartStore<Student> students = stores.of(Parts.PEOPLE);
        students.add(List.of(Student.erased(other, gone, people.today())));
        students.change(students.pointingAt(Target.STUDENT, List.of(gone.id()), Integer.MAX_VALUE).stream()
                .map(one -> one.withoutMate(gone.id()))
                .toList());
        renamed(Parts.GRADINGS, gone.id(), other);
        renamed(Parts.PAIRINGS, gone.id(), other);
        Parts.records().filter(part -> part.whenErased() == Part.Erased.GOES).forEach(part -> remove(part, gone.id()));
        jdbc.update(
                "delete from journal where kind = 'ask' and position(? in coalesce(before_body, after_body)) > 0",
                quoted(gone.id()));
        PartStore<Incident> incidents = stores.of(Parts.INCIDENTS);
        incidents.change(incidents.pointingAt(Target.STUDENT, List.of(gone.id()), Integer.MAX_VALUE).stream()
                .map(one -> one.student().equals(gone.id()) ? one.ofNobody(other) : one.with(other))
                .toList());
        swap("training_class", "body", "\"coach\":" + quoted(gone.id()), "\"coach\":null");
        jdbc.update("update promotion set reason = '' where student = ?", gone.id());
        jdbc.update("update credit set note = 'from before' where student = ?", gone.id());
        jdbc.update("update merit set words = '' where student = ?", gone.id());
        COLUMNS.forEach((table, columns) -> {
            int rows = 0;
            for (String column : columns) {
                rows += jdbc.update(
                        "update " + table + " set " + column + " = ? where " + column + " = ?", other, gone.id());
            }
            kept.put(table, rows);
        });
        students.remove(Set.of(gone.id()));
        if (fromText && gone.name().length() >= SHORTEST) {
            freeTexts.all().stream()
                    .filter(FreeTexts.FreeText::isRecord)
                    .forEach(free -> swap(free.table(), free.column(), gone.name(), Student.ERASED));
        }
        journal(gone, other);
        states.foldAgain(List.of(other), null);
        states.changed(Set.of());
        return kept;
    }

    private <T> void remove(Part<T> part, String student) {
        PartStore<T> store = stores.of(part);
        store.remove(store.pointingAt(Target.STUDENT, List.of(student), Integer.MAX_VALUE).stream()
                .map(part::idOf)
                .toList());
    }

    /** Bodies that name the id name the other one from now on. */
    private <T> void renamed(Part<T> part, String id, String other) {
        PartStore<T> store = stores.of(part);
        store.change(store.pointingAt(Target.STUDENT, List.of(id), Integer.MAX_VALUE).stream()
                .map(one -> Json.read(Json.write(one).replace(quoted(id), quoted(other)), part.type()))
                .toList());
    }

    private static String quoted(String id) {
        return "\"" + id + "\"";
    }

    /** What was written about them goes; where they are named in passing, only the name does. */
    private void journal(Student gone, String other) {
        jdbc.update("delete from journal where kind = 'student' and target = ?", gone.id());
        for (String column : List.of("before_body", "after_body")) {
            swap("journal", column, quoted(gone.id()), quoted(other));
            if (gone.name().length() >= SHORTEST) {
                swap("journal", column, gone.name(), Student.ERASED);
            }
        }
    }

    private void swap(String table, String column, String from, String to) {
        jdbc.update(
                "update " + table + " set " + column + " = replace(" + column + ", ?, ?) where position(? in " + column
                        + ") > 0",
                from,
                to,
                from);
    }

    /** What a letter may name them by. */
    private static List<String> words(Student gone) {
        List<String> words = new ArrayList<>();
        words.add(gone.name());
        Contacts contacts = gone.contacts();
        if (contacts != null && contacts.email() != null) {
            words.add(contacts.email());
        }
        return words.stream().filter(word -> word.length() >= SHORTEST).toList();
    }

    /** Where somebody is named in what people wrote, their own page left out. */
    List<Mention> mentions(Student gone) {
        List<Mention> mentions = new ArrayList<>();
        String name = gone.name().toLowerCase(Locale.ROOT);
        if (name.length() < SHORTEST) {
            return mentions;
        }
        for (FreeTexts.FreeText free : freeTexts.all()) {
            jdbc.query(
                    "select " + free.id() + ", " + free.column() + " from " + free.table()
                            + " where position(? in lower(" + free.column() + ")) > 0" + free.only() + " limit "
                            + MOST_MENTIONS,
                    row -> {
                        if (!row.getString(1).equals(gone.id())) {
                            String text = around(row.getString(2), name);
                            mentions.add(new Mention(free.kind(), row.getString(1), text, free.isRecord()));
                        }
                    },
                    name);
        }
        return mentions;
    }

    /** The words around a name. */
    private static String around(String text, String name) {
        int at = text.toLowerCase(Locale.ROOT).indexOf(name);
        int from = Math.max(0, at - 40);
        int to = Math.min(text.length(), at + name.length() + 40);
        return (from > 0 ? "…" : "") + text.substring(from, to) + (to < text.length() ? "…" : "");
    }
}
