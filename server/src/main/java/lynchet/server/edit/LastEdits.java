package lynchet.server.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import lynchet.core.card.Technique;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.core.club.Target;
import lynchet.core.map.Position;
import lynchet.core.mat.Track;
import lynchet.core.rank.Rank;
import lynchet.format.Json;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Journal;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** What somebody did last, in words; each edit is read by its first lines only. */
@Component
class LastEdits {

    private static final int MOST = 10;
    private static final int TOLD = 3;

    private final Journal journal;
    private final Undone undone;
    private final TeachingSnapshots taught;
    private final JdbcTemplate jdbc;

    LastEdits(Journal journal, Undone undone, TeachingSnapshots taught, JdbcTemplate jdbc) {
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
                spoken(line, line.after() == null ? line.before() : line.after(), this::name),
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

    /** What is no part of the club, as a list of changes speaks of it. */
    private static final Map<String, String> OTHERS = Map.of(
            "account", "the account %s",
            "club", "the whole club, from a file",
            "csv", "a sheet, from a file");

    private static String spoken(Journal.Line line, String body, Part.Names names) {
        if (body != null && line.kind().equals(Kinds.SYLLABUS)) {
            return "what " + Json.read(body, Rank.class).name() + " asks for";
        }
        return Kinds.part(line.kind())
                .filter(part -> body != null)
                .map(part -> spoken(part, body, names))
                .orElseGet(() -> OTHERS.getOrDefault(line.kind(), "something").formatted(line.target()));
    }

    private static <T> String spoken(Part<T> part, String body, Part.Names names) {
        try {
            return part.spoken(Json.read(body, part.type()), names);
        } catch (JacksonException old) {
            return "a " + part.word(); // written by an earlier Lynchet that kept it in another way
        }
    }

    /** Of the map and the tracks as they are now; of people who are still here. */
    private String name(Target target, String id) {
        Club club = taught.now().taught();
        return switch (target) {
            case TECHNIQUE ->
                named(club.map().techniques(), id, Technique::id, Technique::name)
                        .orElse(null);
            case POSITION ->
                named(taught.now().map().positions(), id, Position::id, Position::name)
                        .orElse(null);
            case TRACK -> named(club.tracks(), id, Track::id, Track::name).orElse(null);
            case STUDENT ->
                jdbc.queryForList("select name from student where id = ?", String.class, id).stream()
                        .findFirst()
                        .orElse(null);
            default -> null;
        };
    }

    private static <T> Optional<String> named(
            Collection<T> all, String id, Function<T, String> ids, Function<T, String> names) {
        return all.stream().filter(one -> ids.apply(one).equals(id)).map(names).findFirst();
    }
}
