package lynchet.format.csv;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import lynchet.core.people.Student;

/** The people of a club as a sheet names them: by id, by card number, or by full name. */
final class Roll {

    private final Map<String, Student> byId = new HashMap<>();
    private final Map<String, Student> byCard = new HashMap<>();
    private final Map<String, List<Student>> byName = new HashMap<>();

    Roll(List<Student> people) {
        for (Student student : people) {
            byId.put(student.id(), student);
            if (student.card() != null) {
                byCard.put(student.card(), student);
            }
            byName.computeIfAbsent(fold(student.name()), name -> new ArrayList<>())
                    .add(student);
        }
    }

    Student byId(String id) {
        return byId.get(id);
    }

    Student byCard(String card) {
        return byCard.get(card);
    }

    List<Student> named(String name) {
        return byName.getOrDefault(fold(name), List.of());
    }

    /** Whoever is meant; more than one person of that name, or none, is a bad line. */
    Student whoever(String text) {
        Student found = byId.getOrDefault(text, byCard.get(text));
        if (found != null) {
            return found;
        }
        List<Student> named = named(text);
        if (named.size() > 1) {
            throw new BadLine(
                    "there are " + named.size() + " people called " + text + "; use the id or the card number");
        }
        if (named.isEmpty()) {
            throw new BadLine("nobody here is called " + text + ", nor carries it as id or card");
        }
        return named.get(0);
    }

    static String fold(String name) {
        return name.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
    }
}
