package lynchet.format;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import lynchet.core.card.Technique;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.mat.Track;
import lynchet.core.rule.Breach;
import lynchet.core.rule.Limits;
import lynchet.core.rule.Nonsense;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.core.exc.UnexpectedEndOfInputException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectReader;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.node.ObjectNode;

/**
 * A club's file, read part by part without being held: opening it looks through it once, sees that it is whole JSON of a
 * format that is known and remembers where each part begins. A file in format 1 is read as if it were in format 2.
 */
public final class ArchiveReader {

    private static final ObjectReader ENTRIES =
            Json.mapper().reader().without(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);

    private interface Source {
        InputStream from(long offset) throws IOException;
    }

    private final Source source;
    private final Map<String, Long> beginnings = new HashMap<>();
    private int format;
    private String name;
    private Upgrade upgrade;

    private ArchiveReader(Source source) {
        this.source = source;
    }

    /**
     * Opens a file.
     *
     * @throws ArchiveRefused with line or path, if it is cut off, nested too deep, of another format or no such file at all
     */
    public static ArchiveReader open(Path file) {
        return opened(new ArchiveReader(offset -> {
            InputStream in = Files.newInputStream(file);
            in.skipNBytes(offset);
            return new BufferedInputStream(in, 1 << 16);
        }));
    }

    /** Opens what is held already. */
    public static ArchiveReader open(byte[] json) {
        return opened(
                new ArchiveReader(offset -> new ByteArrayInputStream(json, (int) offset, json.length - (int) offset)));
    }

    private static ArchiveReader opened(ArchiveReader reader) {
        reader.lookThrough();
        return reader;
    }

    public String name() {
        return name;
    }

    /** Whether the file has this part at all. */
    public boolean has(Part<?> part) {
        return beginnings.containsKey(key(part));
    }

    private static String key(Part<?> part) {
        return (Parts.MAP.contains(part) ? "map/" : "") + part.name();
    }

    private void lookThrough() {
        try (InputStream in = source.from(0);
                JsonParser parser = Json.mapper().createParser(in)) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                throw notAClub();
            }
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                property(parser, parser.currentName());
            }
            if (parser.nextToken() != null) {
                throw new ArchiveRefused("READABLE", line(parser), "something stands behind the end of the club");
            }
        } catch (JacksonException e) {
            throw new ArchiveRefused("READABLE", line(e), reason(e));
        } catch (IOException e) {
            throw new ArchiveRefused("READABLE", "/", "the file broke off while it was read");
        }
        if (format == 0) {
            throw notAClub();
        }
    }

    private static ArchiveRefused notAClub() {
        return new ArchiveRefused(
                "FORMAT",
                "/format",
                "a club's file says \"format\": " + ClubArchive.FORMAT + " at its beginning; this does not");
    }

    private void property(JsonParser parser, String property) {
        JsonToken value = parser.nextToken();
        switch (property) {
            case "format" -> format(value == JsonToken.VALUE_NUMBER_INT ? parser.getIntValue() : 0);
            case "name" -> name = value == JsonToken.VALUE_STRING ? parser.getString() : null;
            case "map" -> {
                if (value != JsonToken.START_OBJECT) {
                    throw new ArchiveRefused("READABLE", "/map", "the map must be an object with its parts");
                }
                while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                    String inside = parser.currentName();
                    parser.nextToken();
                    part(parser, "map/" + inside);
                }
            }
            default -> part(parser, property);
        }
    }

    private void format(int said) {
        if (said > ClubArchive.FORMAT) {
            throw new ArchiveRefused(
                    "FORMAT",
                    "/format",
                    "this file is in format " + said + " and this program reads up to format " + ClubArchive.FORMAT
                            + "; update the program, or export from the newer one in format " + ClubArchive.FORMAT);
        }
        if (said < 1) {
            throw notAClub();
        }
        format = said;
    }

    private void part(JsonParser parser, String key) {
        if (format == 0) {
            throw notAClub();
        }
        if (Parts.ALL.stream().noneMatch(part -> key(part).equals(key))) {
            throw new ArchiveRefused("READABLE", "/" + key, unknown(key));
        }
        if (parser.currentToken() == JsonToken.VALUE_NULL) {
            return;
        }
        if (parser.currentToken() != JsonToken.START_ARRAY) {
            throw new ArchiveRefused("READABLE", "/" + key, key + " must be a list");
        }
        long beginning = parser.currentTokenLocation().getByteOffset();
        if (beginning < 0) {
            throw new ArchiveRefused("READABLE", "line 1", "a club's file is UTF-8 text");
        }
        beginnings.put(key, beginning);
        parser.skipChildren();
    }

    /**
     * Hands on each thing of a part, in the order of the file.
     *
     * @throws ArchiveRefused with path and rule at the first that is no such thing or over a limit
     */
    public <T> void each(Part<T> part, Consumer<T> to) {
        if (format >= 2) {
            values(part, part.type(), to);
        } else if (part.equals(Parts.PROMOTIONS)) {
            values(Parts.PEOPLE, ObjectNode.class, student -> Upgrade.promotions(student)
                    .forEach(promotion -> to.accept(Json.mapper().treeToValue(promotion, part.type()))));
        } else if (part.equals(Parts.PEOPLE)) {
            upgraded(part, upgrade()::student, to);
        } else if (part.equals(Parts.TERMS)) {
            upgraded(part, new Upgrade((target, id) -> true)::term, to);
        } else if (part.equals(Parts.LADDERS)) {
            upgraded(part, upgrade()::ladder, to);
        } else if (part.equals(Parts.CLASSES)) {
            upgraded(part, upgrade()::trained, to);
        } else if (part.equals(Parts.MARKS)) {
            upgraded(part, upgrade()::mark, to);
        } else if (part.equals(Parts.TRACKS)) {
            upgraded(part, upgrade()::track, to);
        } else {
            values(part, part.type(), to);
        }
    }

    private interface Step {
        ObjectNode of(ObjectNode old);
    }

    private <T> void upgraded(Part<T> part, Step step, Consumer<T> to) {
        values(part, ObjectNode.class, old -> to.accept(Json.mapper().treeToValue(step.of(old), part.type())));
    }

    /** The way from format 1, with what it needs to know of the rest of the file. */
    private Upgrade upgrade() {
        if (upgrade == null) {
            Set<String> there = new HashSet<>();
            values(Parts.TRACKS, Track.class, track -> there.add(Target.TRACK + track.id()));
            values(
                    Parts.PEOPLE,
                    ObjectNode.class,
                    student -> there.add(Target.STUDENT + student.path("id").asString("")));
            values(Parts.TECHNIQUES, Technique.class, card -> Parts.TECHNIQUES
                    .offers()
                    .accept(card, (target, id) -> there.add(target + id)));
            upgrade = new Upgrade((target, id) -> there.contains(target + id));
            values(Parts.TERMS, ObjectNode.class, upgrade::term);
        }
        return upgrade;
    }

    private <V> void values(Part<?> part, Class<V> type, Consumer<V> to) {
        Long beginning = beginnings.get(key(part));
        if (beginning == null) {
            return;
        }
        int at = 0;
        try (InputStream in = source.from(beginning);
                JsonParser parser = Json.mapper().createParser(in)) {
            parser.nextToken();
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                String where = "/" + key(part) + "/" + at;
                V value = value(parser, type, where);
                limits(value, where);
                accept(value, to, where);
                at++;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static <V> V value(JsonParser parser, Class<V> type, String where) {
        V value;
        try {
            value = ENTRIES.forType(type).readValue(parser);
        } catch (JacksonException e) {
            throw new ArchiveRefused("READABLE", where + path(e), reason(e));
        }
        if (value == null) {
            throw new ArchiveRefused("READABLE", where, "there is nothing at this place of the list");
        }
        return value;
    }

    private static void limits(Object value, String where) {
        List<Breach> breaches = Limits.of(value);
        if (!breaches.isEmpty()) {
            Breach first = breaches.get(0);
            throw new ArchiveRefused(first.rule(), where + first.where(), first.sentence());
        }
    }

    /** What an upgrade finds wrong is told with its place too. */
    private static <V> void accept(V value, Consumer<V> to, String where) {
        if (!(value instanceof JsonNode)) {
            to.accept(value);
            return;
        }
        try {
            to.accept(value);
        } catch (JacksonException e) {
            throw new ArchiveRefused("READABLE", where + path(e), reason(e));
        } catch (Nonsense | java.time.DateTimeException e) {
            throw new ArchiveRefused("READABLE", where, e.getMessage());
        }
    }

    private static String line(JsonParser parser) {
        return "line " + parser.currentLocation().getLineNr();
    }

    private static String line(JacksonException e) {
        return e.getLocation() == null ? "/" : "line " + e.getLocation().getLineNr();
    }

    private static String path(JacksonException e) {
        StringBuilder path = new StringBuilder();
        if (e instanceof DatabindException) {
            for (JacksonException.Reference step : e.getPath()) {
                path.append('/').append(step.getPropertyName() != null ? step.getPropertyName() : step.getIndex());
            }
        }
        return path.toString();
    }

    private static String unknown(String property) {
        return "this program does not know \"" + property
                + "\"; the file may come from a newer program, or the name is misspelled";
    }

    /** The door's own words where a value refused itself, else the first line of what the reader says. */
    private static String reason(JacksonException e) {
        for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
            if (cause instanceof IllegalArgumentException && !(cause instanceof JacksonException)) {
                return cause.getMessage();
            }
        }
        if (e instanceof UnrecognizedPropertyException property) {
            return unknown(property.getPropertyName());
        }
        if (e instanceof UnexpectedEndOfInputException || e instanceof StreamReadException && endsEarly(e)) {
            return "the file ends in the middle; it was probably cut off while it was saved or sent";
        }
        if (e instanceof StreamConstraintsException) {
            return "the file is nested too deeply or too large to be a club";
        }
        String message = e.getOriginalMessage();
        return message == null
                ? "this is not readable"
                : message.lines().findFirst().orElse("this is not readable");
    }

    private static boolean endsEarly(JacksonException e) {
        return e.getOriginalMessage() != null && e.getOriginalMessage().contains("end-of-input");
    }
}
