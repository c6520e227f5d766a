package lynchet.server.people;

import java.util.List;
import lynchet.core.people.Student;
import lynchet.core.rule.Most;
import lynchet.server.keep.Durable;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What guests are asked at the door and answer later: a coach writes it down, also for whom the server heard of only now. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/people/{id}/guest")
class GuestController {

    private final People people;
    private final Durable durable;

    GuestController(People people, Durable durable) {
        this.people = people;
        this.durable = durable;
    }

    /**
     * What a guest answered; what is null was not said and stays as it is.
     *
     * @param age how old they are, 3 to 99
     * @param fallsKnown whether a coach saw that they can fall
     * @param number whom to call
     */
    record GuestAnswers(
            @Nullable Integer age,
            @Nullable Boolean fallsKnown,
            @Most(40) @Nullable String number) {}

    @PostMapping
    Student answers(@PathVariable String id, @RequestBody GuestAnswers said) {
        return durable.write(() -> people.inTurn(() -> people.changeMany(List.of(id), student -> with(student, said))))
                .get(0);
    }

    private static Student with(Student student, GuestAnswers said) {
        Student.Guest guest = student.guest();
        if (guest == null) {
            throw Refusal.bad("NO_GUEST", "/id", student.name() + " trains here and is no guest any more.");
        }
        return student.answering(
                new Student.Guest(
                        said.fallsKnown() == null ? guest.fallsKnown() : said.fallsKnown(),
                        said.age() == null ? guest.age() : said.age()),
                said.number());
    }
}
