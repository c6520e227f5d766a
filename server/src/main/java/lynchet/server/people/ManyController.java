package lynchet.server.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import lynchet.core.club.Target;
import lynchet.core.people.Student;
import lynchet.core.rule.Most;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Durable;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is done to many people at once: all of it is kept, or nothing. */
@RestController
@RequestMapping("/api/people")
class ManyController {

    /** More than anybody chooses by hand. */
    private static final int MOST = 500;

    private final People people;
    private final TeachingSnapshots taught;
    private final Durable durable;

    ManyController(People people, TeachingSnapshots taught, Durable durable) {
        this.people = people;
        this.taught = taught;
        this.durable = durable;
    }

    /** How many were changed. */
    record Counted(int people) {}

    /** People, and the tracks they come to and go from. */
    record OnTracks(
            @Most(MOST) List<String> students,
            @Most(40) List<String> add,
            @Most(40) List<String> remove) {}

    @OpenTo(Who.HEADS)
    @PostMapping("/tracks")
    Counted tracks(@RequestBody OnTracks asked) {
        for (int i = 0; i < asked.add().size(); i++) {
            if (!taught.now().offers(Target.TRACK, asked.add().get(i))) {
                throw Refusal.bad("NO_TRACK", "/add/" + i, "There is no such track.");
            }
        }
        return change(asked.students(), "/students", student -> {
            Set<String> tracks = new LinkedHashSet<>(student.tracks());
            tracks.removeAll(asked.remove());
            tracks.addAll(asked.add());
            return student.onTracks(List.copyOf(tracks));
        });
    }

    /** One weight, in kilograms. */
    record Weight(String student, double kg) {}

    /** What the scales said on a day. */
    record Weighing(LocalDate day, @Most(MOST) List<Weight> weights) {}

    @OpenTo(Who.COACHES)
    @PostMapping("/weights")
    Counted weigh(@RequestBody Weighing weighing) {
        if (weighing.day() == null || weighing.day().isAfter(people.today())) {
            throw Refusal.bad("NOT_YET", "/day", "The day of a weighing is today or before.");
        }
        Map<String, Double> kg = new LinkedHashMap<>();
        for (int i = 0; i < weighing.weights().size(); i++) {
            Weight one = weighing.weights().get(i);
            if (!(one.kg() >= 10 && one.kg() <= 300)) {
                throw Refusal.bad(
                        "WEIGHT", "/weights/" + i + "/kg", "A weight must be 10 to 300 kg, not " + one.kg() + ".");
            }
            kg.put(one.student(), one.kg());
        }
        return change(
                new ArrayList<>(kg.keySet()),
                "/weights",
                student -> student.weighing(kg.get(student.id()), weighing.day()));
    }

    /**
     * Lets a choice of people pass who all are there.
     *
     * @param field where they were named, such as {@code /students}
     */
    static void chosen(List<String> students, String field, People people, int most) {
        if (students == null || students.isEmpty() || students.size() > most) {
            throw Refusal.bad("PEOPLE_MANY", field, "Choose 1 to " + most + " people.");
        }
        for (int i = 0; i < students.size(); i++) {
            if (!people.has(students.get(i))) {
                throw Refusal.bad("NOBODY", field + "/" + i, "There is no such student.");
            }
        }
    }

    private Counted change(List<String> students, String field, UnaryOperator<Student> change) {
        chosen(students, field, people, MOST);
        return new Counted(durable.write(() -> people.inTurn(() -> people.changeMany(students, change)))
                .size());
    }
}
