package lynchet.server.edit;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.format.Json;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.Journal;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What was changed, by whom and when; taking an edit back. */
@RestController
@RequestMapping("/api/edits")
class EditController {

    private static final int MOST_OF_ONE = 100;

    private final Journal journal;
    private final TakingBack takingBack;
    private final Clock clock;

    EditController(Journal journal, TakingBack takingBack, Clock clock) {
        this.journal = journal;
        this.takingBack = takingBack;
        this.clock = clock;
    }

    /**
     * One thing changed by one edit.
     *
     * @param before the thing in the open format; null when it was new
     * @param after the thing in the open format; null when it was removed
     * @param fields names of the fields that differ
     */
    record Edited(
            String edit,
            Instant at,
            String who,
            String kind,
            String id,
            @Nullable JsonNode before,
            @Nullable JsonNode after,
            List<String> fields) {}

    /** What was done to one thing, the newest first. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/history")
    List<Edited> history(@RequestParam String kind, @RequestParam String id) {
        told(kind);
        return journal.of(kind, id, MOST_OF_ONE).stream()
                .map(EditController::edited)
                .toList();
    }

    /** What is different from what it was at the beginning of a day: each thing once, with the last who touched it. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/changes")
    List<Edited> changes(@RequestParam LocalDate since) {
        Map<String, Journal.Line> first = new LinkedHashMap<>();
        Map<String, Journal.Line> last = new LinkedHashMap<>();
        Instant from = since.atStartOfDay(clock.getZone()).toInstant();
        for (Journal.Line line : journal.firstAndLast(from, Kinds.ON_MAP)) {
            String key = line.kind() + " " + line.target();
            first.putIfAbsent(key, line);
            last.put(key, line);
        }
        return last.entrySet().stream()
                .map(entry -> edited(entry.getValue(), first.get(entry.getKey()).before()))
                .filter(edited -> !edited.fields().isEmpty())
                .toList();
    }

    private static void told(String kind) {
        if (!Kinds.is(kind, Part::hasHistory)) {
            throw Refusal.bad(
                    "HISTORY_KIND",
                    "kind",
                    "There is a history of "
                            + String.join(
                                    ", ",
                                    Parts.ALL.stream()
                                            .filter(Part::hasHistory)
                                            .map(Part::one)
                                            .toList()) + ".");
        }
    }

    private static Edited edited(Journal.Line line) {
        return edited(line, line.before());
    }

    private static Edited edited(Journal.Line line, String beforeBody) {
        JsonNode before = tree(beforeBody);
        JsonNode after = tree(line.after());
        return new Edited(
                line.edit(), line.at(), line.who(), line.kind(), line.target(), before, after, differ(before, after));
    }

    private static JsonNode tree(String body) {
        return body == null ? null : Json.mapper().readTree(body);
    }

    private static List<String> differ(JsonNode before, JsonNode after) {
        if (before == null || after == null) {
            return before == after ? List.of() : List.of("id");
        }
        Set<String> names = new java.util.TreeSet<>(before.propertyNames());
        names.addAll(after.propertyNames());
        return names.stream()
                .filter(name -> !before.path(name).equals(after.path(name)))
                .toList();
    }

    /** How many things of each kind an edit touched. */
    record Touched(Map<String, Long> kinds) {}

    /**
     * Takes a whole edit back, if nobody has changed the same things since. That is an edit too.
     *
     * @param with later edits that stand on it and go back with it
     */
    @OpenTo(Who.COACHES)
    @PostMapping("/{edit}/undo")
    Touched undo(@PathVariable String edit, @RequestParam(defaultValue = "") List<String> with, Authentication who) {
        List<Journal.Line> lines = journal.ofEdit(edit);
        if (lines.isEmpty()) {
            throw Refusal.missing("edit", edit);
        }
        Set<String> together = new java.util.TreeSet<>(with);
        together.add(edit);
        takingBack.back(together, who.getName(), AccountRights.isHead(who));
        Map<String, Long> kinds = new java.util.TreeMap<>();
        lines.forEach(line -> kinds.merge(line.kind(), 1L, Long::sum));
        return new Touched(kinds);
    }
}
