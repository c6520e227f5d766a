package lynchet.server.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Position;
import lynchet.format.Json;
import lynchet.server.club.Taught;
import lynchet.server.keep.Journal;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** What somebody did last, in words; each edit is read by its first lines only. */
@Component
class LastEdits {

    private static final int MOST = 10;
    private static final int TOLD = 3;

    private final Journal journal;
    private final Undone undone;
    private final Taught taught;
    private final JdbcTemplate jdbc;

    LastEdits(Journal journal, Undone undone, Taught taught, JdbcTemplate jdbc) {
        this.journal = journal;
        this.undone = undone;
        this.taught = taught;
        this.jdbc = jdbc;
    }

    /** The last ten edits of an account, the newest first; those that only take others back are told by what they took. */
    @Transactional(readOnly = true)
    List<Done> of(String who) {
        List<Done> all = new ArrayList<>();
        Optional<Journal.Mention> next = journal.lastEdit(who, Long.MAX_VALUE);
        while (all.size() < MOST && next.isPresent()) {
            String edit = next.get().edit();
            if (all.stream().noneMatch(one -> one.edit().equals(edit)) && !undone.takesBack(edit)) {
                told(edit).ifPresent(all::add);
            }
            next = journal.lastEdit(who, next.get().firstLine());
        }
        return all;
    }

    /** One edit in words; nothing if there is none. */
    @Transactional(readOnly = true)
    Optional<Done> told(String edit) {
        List<Journal.Line> first = journal.beginningOf(edit, TOLD);
        if (first.isEmpty()) {
            return Optional.empty();
        }
        int more = journal.linesOf(edit) - first.size();
        Journal.Line line = first.get(0);
        return Optional.of(new Done(
                edit,
                line.at(),
                line.who(),
                first.stream().map(this::thing).toList(),
                more,
                undone.by(edit).orElse(null)));
    }

    private Done.Thing thing(Journal.Line line) {
        JsonNode before = line.before() == null ? null : Json.mapper().readTree(line.before());
        JsonNode after = line.after() == null ? null : Json.mapper().readTree(line.after());
        JsonNode body = after == null ? before : after;
        return new Done.Thing(
                line.kind(),
                line.target(),
                what(line, before, after),
                body == null ? null : name(line.kind(), body),
                body == null ? null : day(body));
    }

    private static Done.What what(Journal.Line line, JsonNode before, JsonNode after) {
        if (before == null && after == null) {
            return Done.What.CHANGED;
        }
        if (before == null) {
            return Done.What.ADDED;
        }
        if (after == null) {
            return Done.What.REMOVED;
        }
        boolean retires =
                after.path("retired").asBoolean() && !before.path("retired").asBoolean();
        return retires ? Done.What.RETIRED : Done.What.CHANGED;
    }

    private static String day(JsonNode body) {
        return Stream.of("date", "on", "at")
                .map(field -> body.path(field).asString(""))
                .filter(text -> text.length() >= 10)
                .map(text -> text.substring(0, 10))
                .findFirst()
                .orElse(null);
    }

    /** What a coach calls it: its own name, or that of what or whom it is about. */
    private String name(String kind, JsonNode body) {
        GrapplingMap map = taught.now().map();
        return switch (kind) {
            case "pair" -> text(body.path("first"), "name");
            case "link" ->
                technique(map, text(body, "technique"))
                        + position(map, text(body, "from"))
                                .map(from -> " from " + from)
                                .orElse("");
            case "gap" -> position(map, text(body, "position")).orElse(null);
            case "plan", "cycle", "class" -> track(text(body, "track"));
            default ->
                Stream.of(
                                text(body, "name"),
                                text(body, "term"),
                                text(body, "text"),
                                text(body, "words"),
                                person(text(body, "student")))
                        .filter(text -> text != null)
                        .findFirst()
                        .orElse(null);
        };
    }

    private static String technique(GrapplingMap map, String id) {
        return map.techniques().stream()
                .filter(one -> one.id().equals(id))
                .map(one -> one.name())
                .findFirst()
                .orElse("A technique");
    }

    private static Optional<String> position(GrapplingMap map, String id) {
        return map.positions().stream()
                .filter(one -> one.id().equals(id))
                .map(Position::name)
                .findFirst();
    }

    private String track(String id) {
        return taught.now().taught().tracks().stream()
                .filter(track -> track.id().equals(id))
                .map(track -> track.name())
                .findFirst()
                .orElse(null);
    }

    private String person(String id) {
        return id == null
                ? null
                : jdbc.queryForList("select name from student where id = ?", String.class, id).stream()
                        .findFirst()
                        .orElse(null);
    }

    private static String text(JsonNode body, String field) {
        String text = body.path(field).asString("");
        return text.isBlank() ? null : text;
    }
}
