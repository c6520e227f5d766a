package lynchet.server.term;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lynchet.core.club.Parts;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;
import lynchet.format.ics.BadCalendar;
import lynchet.format.ics.ClassesIcs;
import lynchet.format.ics.DaysOff;
import lynchet.server.club.OneThing;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.mat.ClassStore;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Calendar files: the club's classes for other calendars, and holidays from a file. */
@RestController
@RequestMapping("/api")
class CalendarController {

    private static final int WEEKS_BACK = 4;
    private static final int WEEKS_AHEAD = 26;
    private static final int ID = 50;

    private final TeachingSnapshots taught;
    private final OneThing edits;
    private final ClassStore classes;
    private final ClosureRules rules;
    private final Clock clock;

    CalendarController(TeachingSnapshots taught, OneThing edits, ClassStore classes, ClosureRules rules, Clock clock) {
        this.taught = taught;
        this.edits = edits;
        this.classes = classes;
        this.rules = rules;
        this.clock = clock;
    }

    /** The classes of a track, or of all, with closed days and gradings: four weeks back and half a year ahead. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping(path = "/calendar.ics", produces = "text/calendar")
    ResponseEntity<String> calendar(@RequestParam(required = false) @Nullable String track) {
        Snapshot now = taught.now();
        Map<String, String> names = now.taught().tracks().stream().collect(Collectors.toMap(Track::id, Track::name));
        if (track != null && !names.containsKey(track)) {
            throw Refusal.missing("track", track);
        }
        LocalDate from = LocalDate.now(clock).minusWeeks(WEEKS_BACK);
        LocalDate to = LocalDate.now(clock).plusWeeks(WEEKS_AHEAD);
        List<TrainingClass> all =
                ClassStore.together(classes.between(from, to), now.calendar().between(from, to)).stream()
                        .filter(one -> track == null || one.track().equals(track))
                        .toList();
        ClassesIcs ics = new ClassesIcs(
                        LocalDate.now(clock).atStartOfDay(ZoneOffset.UTC).toInstant())
                .classes(all, id -> names.getOrDefault(id, id));
        now.taught().closures().stream()
                .filter(closure ->
                        !closure.until().isBefore(from) && !closure.from().isAfter(to))
                .filter(closure -> track == null
                        || closure.tracks().isEmpty()
                        || closure.tracks().contains(track))
                .forEach(closure -> ics.days(closure.id(), closure.name(), closure.from(), closure.until()));
        for (Term term : now.taught().terms()) {
            term.gradingDays().stream()
                    .filter(day -> !day.isBefore(from) && !day.isAfter(to))
                    .forEach(day -> ics.days("grading-" + term.id() + "-" + day, "Grading: " + term.name(), day, day));
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"lynchet.ics\"")
                .body(ics.toString());
    }

    /**
     * What a calendar file closes.
     *
     * @param found closures that are not there yet, with the ids they get
     * @param there how many of the file's days off are closed already, under the same name
     * @param past how many are over
     * @param timed how many events have a time of day and close nothing
     */
    record DaysFound(List<Closure> found, int there, int past, int timed) {}

    /**
     * Whole days from an iCalendar file as days without classes.
     *
     * @param keep whether they are kept, all or none; else they are only looked at
     */
    @OpenTo(Who.HEADS)
    @PostMapping("/closures/calendar")
    DaysFound days(@RequestParam(defaultValue = "false") boolean keep, InputStream body) throws IOException {
        DaysOff read;
        try {
            read = DaysOff.of(new String(body.readAllBytes(), StandardCharsets.UTF_8));
        } catch (BadCalendar e) {
            throw Refusal.bad(e.code(), "", e.getMessage() + " Nothing was changed.");
        }
        LocalDate today = LocalDate.now(clock);
        List<Closure> all = new ArrayList<>(taught.now().taught().all(Parts.CLOSURES));
        List<Closure> found = new ArrayList<>();
        int there = 0;
        int past = 0;
        for (DaysOff.Off off : read.off()) {
            boolean isThere = all.stream().anyMatch(is(off));
            boolean isPast = off.until().isBefore(today);
            there += isThere ? 1 : 0;
            past += isPast && !isThere ? 1 : 0;
            if (!isThere && !isPast) {
                Closure closure = new Closure(free(off, all), off.name(), off.from(), off.until(), List.of());
                found.add(closure);
                all.add(closure);
            }
        }
        found.forEach(rules::fits);
        if (keep && !found.isEmpty()) {
            edits.addAll(Parts.CLOSURES, found);
        }
        return new DaysFound(found, there, past, read.timed());
    }

    private static Predicate<Closure> is(DaysOff.Off off) {
        return closure -> closure.name().equals(off.name())
                && closure.from().equals(off.from())
                && closure.until().equals(off.until());
    }

    private static String free(DaysOff.Off off, List<Closure> taken) {
        String words = off.name()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        String id =
                (words.isEmpty() ? "closed" : words.substring(0, Math.min(ID, words.length()))).replaceAll("-$", "");
        for (int n = 1; ; n++) {
            String one = n == 1 ? id : id + "-" + n;
            if (taken.stream().noneMatch(closure -> closure.id().equals(one))) {
                return one;
            }
        }
    }
}
