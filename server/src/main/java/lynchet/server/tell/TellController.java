package lynchet.server.tell;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import lynchet.core.club.Club;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rule.Limits;
import lynchet.core.rule.Most;
import lynchet.core.rule.Phrases;
import lynchet.core.rule.Require;
import lynchet.core.term.Telling;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Durable;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.AttendanceDesk;
import lynchet.server.mat.ClassDesk;
import lynchet.server.people.People;
import lynchet.server.tell.Letters.LetterView;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A class is called off, or takes place after all: the families are told. For coaches, since it names addresses. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api")
class TellController {

    private final ClassDesk classes;
    private final AttendanceDesk attendance;
    private final People people;
    private final Letters letters;
    private final TeachingSnapshots taught;
    private final Durable durable;
    private final Clock clock;

    TellController(
            ClassDesk classes,
            AttendanceDesk attendance,
            People people,
            Letters letters,
            TeachingSnapshots taught,
            Durable durable,
            Clock clock) {
        this.classes = classes;
        this.attendance = attendance;
        this.people = people;
        this.letters = letters;
        this.taught = taught;
        this.durable = durable;
        this.clock = clock;
    }

    /** What is to be said, and why. */
    record News(Telling.News news, @Most(300) @Nullable String reason) {
        News {
            Require.present("the news", news);
        }
    }

    /** Who would be told of a change now; nobody of a class that is over. */
    @GetMapping("/classes/{id}/telling")
    Telling telling(@PathVariable String id) {
        TrainingClass trained = classes.trained(id);
        return telling(trained, new News(trained.cancelled() ? Telling.News.AFTER_ALL : Telling.News.CALLED_OFF, null));
    }

    private Telling telling(TrainingClass trained, News news) {
        if (trained.date().isBefore(LocalDate.now(clock))) {
            return new Telling(List.of(), List.of(), List.of());
        }
        Club club = taught.now().taught();
        String track = club.tracks().stream()
                .filter(t -> t.id().equals(trained.track()))
                .map(Track::name)
                .findFirst()
                .orElse(trained.track());
        return Telling.of(
                trained,
                track,
                club.name(),
                people.onTrack(trained.track()),
                news.news(),
                news.reason(),
                club.numbers());
    }

    /** Calls a class off, or takes that back, and writes the letters; told again, the letters are written again. */
    @PostMapping("/classes/{id}/news")
    Telling tell(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody News news) {
        Limits.kept(news);
        boolean off = news.news() == Telling.News.CALLED_OFF;
        TrainingClass now = classes.trained(id);
        int here = attendance.presentIn(id).size();
        if (off && !now.cancelled() && here > 0) {
            throw Refusal.bad(
                    "CLASS_ATTENDED",
                    "/news",
                    Phrases.count(here, "person is", "people are") + " checked in to this class, so it took place.");
        }
        TrainingClass kept = now.cancelled() == off ? now : durable.write(() -> classes.put(now.calledOff(off), tag));
        Telling telling = telling(kept, news);
        return telling.without(letters.write(taught.now().taught().name(), id, telling.letters()));
    }

    /** The letters that lie ready, the latest first. */
    @GetMapping("/letters")
    List<LetterView> all() {
        return letters.all();
    }

    @GetMapping("/letters/{name}")
    ResponseEntity<Resource> one(@PathVariable String name) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("message/rfc822"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(new FileSystemResource(letters.file(name)));
    }
}
