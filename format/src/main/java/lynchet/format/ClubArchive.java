package lynchet.format;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.rule.Breach;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.ObjectWriter;

/** A club as one JSON file, {@code lynchet-club.json}; see docs/format. What is written reads again to the same. */
public final class ClubArchive {

    /** The version of the format that this program writes; it reads this and every earlier one. */
    public static final int FORMAT = 3;

    private static final ObjectWriter WRITER =
            Json.mapper().writerWithDefaultPrettyPrinter().without(StreamWriteFeature.AUTO_CLOSE_TARGET);

    private ClubArchive() {}

    /** Where the things of each part come from, in order of their ids. */
    @FunctionalInterface
    public interface Source {
        <T> void each(Part<T> part, Consumer<T> to);
    }

    /** The club as UTF-8 JSON, sorted by id, the same bytes for the same club. */
    public static byte[] write(Club club) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        write(out, club.name(), Parts.ALL, new Source() {
            @Override
            public <T> void each(Part<T> part, Consumer<T> to) {
                club.all(part).stream().sorted(Comparator.comparing(part::idOf)).forEach(to);
            }
        });
        return out.toByteArray();
    }

    /**
     * Writes these parts of a club as they come, without holding it. A part with nothing in it is there all the same, so that
     * a club that has nothing yet is told from a map alone.
     */
    public static void write(OutputStream out, String name, List<Part<?>> parts, Source source) {
        JsonGenerator json = WRITER.createGenerator(out);
        json.writeStartObject();
        json.writeNumberProperty("format", FORMAT);
        json.writeStringProperty("name", name);
        json.writeName("map");
        json.writeStartObject();
        parts.stream().filter(Parts.MAP::contains).forEach(part -> part(json, part, source));
        json.writeEndObject();
        parts.stream().filter(part -> !Parts.MAP.contains(part)).forEach(part -> part(json, part, source));
        json.writeEndObject();
        json.close();
        try {
            out.write('\n');
            out.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static <T> void part(JsonGenerator json, Part<T> part, Source source) {
        json.writeName(part.name());
        json.writeStartArray();
        source.each(part, json::writePOJO);
        json.writeEndArray();
    }

    /**
     * Reads and checks a whole club that is small enough to be held.
     *
     * @throws ArchiveRefused with path and rule, if it cannot be read or does not hold together
     */
    public static Club read(InputStream json) {
        byte[] bytes;
        try {
            bytes = json.readAllBytes();
        } catch (IOException e) {
            throw new ArchiveRefused("READABLE", "/", "the file broke off while it was read");
        }
        ArchiveReader archive = ArchiveReader.open(bytes);
        Club club = Club.named(archive.name());
        for (Part<?> part : Parts.ALL) {
            club = held(club, part, archive);
        }
        List<Breach> breaches = ClubCheck.check(club);
        if (!breaches.isEmpty()) {
            throw new ArchiveRefused(breaches);
        }
        return club;
    }

    /** The club with all that a file has of one part. */
    public static <T> Club held(Club club, Part<T> part, ArchiveReader archive) {
        List<T> all = new ArrayList<>();
        archive.each(part, all::add);
        return club.with(part, all);
    }
}
