package lynchet.server.house;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;
import lynchet.core.rule.Most;
import lynchet.server.account.Accounts;
import lynchet.server.account.Role;
import lynchet.server.club.Edits;
import lynchet.server.club.RecordSelection;
import lynchet.server.club.Stores;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.PartStore;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.ClassStore;
import lynchet.server.people.People;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who gives the classes, by name: people of the club, accounts of nobody in it, and what was only written down. */
@RestController
@RequestMapping("/api/coaches")
class CoachController {

    /** A year ahead: nobody writes down who gives a class of later. */
    private static final int DAYS_AHEAD = 366;

    private final Accounts accounts;
    private final People people;
    private final Stores stores;
    private final TeachingSnapshots taught;
    private final ClassStore classes;
    private final Edits edits;

    CoachController(
            Accounts accounts,
            People people,
            Stores stores,
            TeachingSnapshots taught,
            ClassStore classes,
            Edits edits) {
        this.accounts = accounts;
        this.people = people;
        this.stores = stores;
        this.taught = taught;
        this.classes = classes;
        this.edits = edits;
    }

    /** Somebody who gives classes, as a class names them, and what they are called. */
    record Coach(String id, String name) {}

    /** A name that was written down and fits nobody, and in how many weekly times and classes to come. */
    record WrittenCoach(String text, int times) {}

    /**
     * Who gives the classes.
     *
     * @param coaches those who may sign in as coaches, by name
     * @param names what everybody is called whom an account, a weekly time or a class to come names
     * @param written what fits nobody, for the head coach to say who it is
     */
    record Coaches(List<Coach> coaches, Map<String, String> names, List<WrittenCoach> written) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    Coaches all() {
        List<Accounts.AccountView> all = accounts.all();
        Set<String> ids = new HashSet<>();
        all.stream().map(Accounts.AccountView::person).filter(Objects::nonNull).forEach(ids::add);
        List<String> given = given().toList();
        ids.addAll(given);
        Map<String, Student> known = stores.of(Parts.PEOPLE).find(ids);
        Map<String, String> names = new TreeMap<>();
        known.forEach((id, student) -> names.put(id, student.name()));
        List<Coach> coaches = new ArrayList<>();
        for (Accounts.AccountView account : all) {
            Student person = account.person() == null ? null : known.get(account.person());
            names.put(account.name(), person == null ? capital(account.name()) : person.name());
            if (!account.isOff() && account.role() != Role.VIEWER) {
                String id = person == null ? account.name() : person.id();
                coaches.add(new Coach(id, names.get(account.name())));
            }
        }
        Map<String, Integer> written = new TreeMap<>();
        given.stream().filter(one -> !names.containsKey(one)).forEach(one -> written.merge(one, 1, Integer::sum));
        return new Coaches(
                coaches.stream()
                        .distinct()
                        .sorted(Comparator.comparing(Coach::name))
                        .toList(),
                names,
                written.entrySet().stream()
                        .map(one -> new WrittenCoach(one.getKey(), one.getValue()))
                        .toList());
    }

    private static String capital(String name) {
        return Character.toUpperCase(name.charAt(0)) + name.substring(1);
    }

    /** Whom the weekly times and the classes to come name. */
    private Stream<String> given() {
        Stream<String> weekly = taught.now().taught().tracks().stream()
                .flatMap(track -> track.slots().stream())
                .map(Track.Slot::coach);
        return Stream.concat(weekly, ahead().stream().map(TrainingClass::coach)).filter(Objects::nonNull);
    }

    private List<TrainingClass> ahead() {
        LocalDate today = people.today();
        return classes.between(today, today.plusDays(DAYS_AHEAD));
    }

    /** Says who is meant: weekly times and classes to come name them from now on; classes that are over stay as written. */
    @OpenTo(Who.HEADS)
    @PostMapping("/meant")
    Coaches meant(@RequestBody WhoIsMeant meant) {
        if (meant.text() == null || meant.text().isBlank()) {
            throw Refusal.bad("TEXT_MISSING", "/text", "Say what was written.");
        }
        if (meant.person() == null || !people.has(meant.person())) {
            throw Refusal.bad("NOBODY", "/person", "There is nobody like that here; choose somebody of the club.");
        }
        Student person = people.one(meant.person());
        edits.change(this::thoseAhead, club -> club.changing(Parts.TRACKS, all -> all.stream()
                        .map(track -> track.givenBy(meant.text(), person.id()))
                        .toList())
                .changing(Parts.CLASSES, all -> all.stream()
                        .map(one -> meant.text().equals(one.coach()) ? one.givenBy(person.id()) : one)
                        .toList()));
        return all();
    }

    /** What was written, and the id of the person who is meant by it. */
    record WhoIsMeant(@Most(40) String text, String person) {}

    private RecordSelection thoseAhead() {
        List<TrainingClass> ahead = ahead();
        return new RecordSelection() {
            @Override
            @SuppressWarnings("unchecked")
            public <T> List<T> of(PartStore<T> store) {
                Part<T> part = store.part();
                return part.equals(Parts.CLASSES) ? (List<T>) ahead : List.of();
            }
        };
    }
}
