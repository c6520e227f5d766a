package lynchet.format;

import java.io.IOException;
import java.io.InputStream;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import lynchet.core.chain.Chain;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.grading.Grading;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Technique;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;
import lynchet.core.rank.Ladder;
import lynchet.core.round.Round;
import lynchet.core.rule.Breach;
import lynchet.core.term.Term;
import lynchet.core.walk.IgnoredGap;
import lynchet.core.words.Word;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.core.exc.UnexpectedEndOfInputException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** A club as one JSON file, {@code lynchet-club.json}; see docs/format. What is written reads again to the same. */
public final class ClubArchive {

    /** The version of the format that this program reads and writes. */
    public static final int FORMAT = 1;

    private static final ObjectWriter WRITER = Json.mapper().writerWithDefaultPrettyPrinter();

    private ClubArchive() {}

    /** The file's outermost object. */
    public record Archive(
            int format,
            String name,
            MapData map,
            List<Chain> chains,
            List<Ladder> ladders,
            List<Word> words,
            List<DrillShape> drills,
            List<Track> tracks,
            List<Term> terms,
            List<Student> people,
            List<TrainingClass> classes,
            List<Attendance> attendance,
            List<PracticeEntry> practice,
            List<Mark> marks,
            List<Grading> gradings,
            List<Round> rounds,
            List<IgnoredGap> ignoredGaps) {

        static Archive of(Club club) {
            MapData map = club.map();
            MapData sorted = new MapData(
                    sorted(map.pairs(), PositionPair::id),
                    sorted(map.techniques(), Technique::id),
                    sorted(map.links(), Link::id),
                    sorted(map.reactions(), Reaction::id),
                    sorted(map.rulesets(), Ruleset::id));
            return new Archive(
                    FORMAT,
                    club.name(),
                    sorted,
                    sorted(club.chains(), Chain::id),
                    sorted(club.ladders(), Ladder::id),
                    sorted(club.words(), Word::id),
                    sorted(club.drills(), DrillShape::id),
                    sorted(club.tracks(), Track::id),
                    sorted(club.terms(), Term::id),
                    sorted(club.people(), Student::id),
                    sorted(club.classes(), TrainingClass::id),
                    sorted(club.attendance(), Attendance::id),
                    sorted(club.practice(), PracticeEntry::id),
                    sorted(club.marks(), Mark::id),
                    sorted(club.gradings(), Grading::id),
                    sorted(club.rounds(), Round::id),
                    sorted(club.ignoredGaps(), IgnoredGap::id));
        }

        private Club toClub() {
            return new Club(
                    name,
                    map,
                    chains,
                    ladders,
                    words,
                    drills,
                    tracks,
                    terms,
                    people,
                    classes,
                    attendance,
                    practice,
                    marks,
                    gradings,
                    rounds,
                    ignoredGaps);
        }

        private static <T> List<T> sorted(List<T> things, Function<T, String> id) {
            return things.stream().sorted(Comparator.comparing(id)).toList();
        }
    }

    /** The club as UTF-8 JSON, sorted by id, the same bytes for the same club. */
    public static byte[] write(Club club) {
        byte[] json = WRITER.writeValueAsBytes(Archive.of(club));
        byte[] withNewline = java.util.Arrays.copyOf(json, json.length + 1);
        withNewline[json.length] = '\n';
        return withNewline;
    }

    /**
     * Reads and checks a whole club.
     *
     * @throws ArchiveRefused with path and rule, if it cannot be read or does not hold together
     */
    public static Club read(InputStream json) {
        Archive archive;
        try {
            byte[] bytes = json.readNBytes((int) Json.MOST_CHARACTERS + 1);
            refuseOtherFormats(bytes);
            archive = Json.mapper().readValue(bytes, Archive.class);
        } catch (JacksonException e) {
            throw new ArchiveRefused("READABLE", path(e), reason(e));
        } catch (IOException e) {
            throw new ArchiveRefused("READABLE", "/", "the file broke off while it was read");
        }
        Club club;
        try {
            club = archive.toClub();
        } catch (IllegalArgumentException e) {
            throw new ArchiveRefused("READABLE", "/name", e.getMessage());
        }
        List<Breach> breaches = ClubCheck.check(club);
        if (!breaches.isEmpty()) {
            throw new ArchiveRefused(breaches);
        }
        return club;
    }

    /** Looks for the format number before anything else, so that a newer file is called newer and not broken. */
    private static void refuseOtherFormats(byte[] json) {
        int format = 0;
        try (JsonParser parser = Json.mapper().createParser(json)) {
            if (parser.nextToken() == JsonToken.START_OBJECT) {
                while (parser.nextToken() == JsonToken.PROPERTY_NAME && format == 0) {
                    boolean isFormat = parser.currentName().equals("format");
                    if (parser.nextToken() == JsonToken.VALUE_NUMBER_INT && isFormat) {
                        format = parser.getIntValue();
                    } else {
                        parser.skipChildren();
                    }
                }
            }
        }
        if (format > FORMAT) {
            throw new ArchiveRefused(
                    "FORMAT",
                    "/format",
                    "this file is in format " + format + " and this program reads up to format " + FORMAT
                            + "; update the program, or export from the newer one in format " + FORMAT);
        }
        if (format != FORMAT) {
            throw new ArchiveRefused(
                    "FORMAT",
                    "/format",
                    "a club's file says \"format\": " + FORMAT + " at its beginning; this does not");
        }
    }

    /** The place in the document as a JSON pointer. */
    private static String path(JacksonException e) {
        StringBuilder path = new StringBuilder();
        if (e instanceof DatabindException) {
            for (JacksonException.Reference step : e.getPath()) {
                path.append('/').append(step.getPropertyName() != null ? step.getPropertyName() : step.getIndex());
            }
        }
        if (path.isEmpty()) {
            return e.getLocation() == null ? "/" : "line " + e.getLocation().getLineNr();
        }
        return path.toString();
    }

    /** The door's own words where a value refused itself, else the first line of what the reader says. */
    private static String reason(JacksonException e) {
        for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
            if (cause instanceof IllegalArgumentException && !(cause instanceof JacksonException)) {
                return cause.getMessage();
            }
        }
        if (e instanceof UnrecognizedPropertyException unknown) {
            return "this program does not know \"" + unknown.getPropertyName()
                    + "\"; the file may come from a newer program, or the name is misspelled";
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
