package lynchet.server.edit;

import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.rank.Rank;

/** What the journal calls things: as {@link Part#one} does, and what one rank of a ladder asks for as a thing of its own. */
final class Kinds {

    /** What one rank of a ladder asks for; its lines hold the {@link Rank}. */
    static final String SYLLABUS = "syllabus";

    /** What the changes of the map since a day are about. */
    static final Set<String> ON_MAP = Stream.concat(
                    Stream.concat(Parts.MAP.stream(), Stream.of(Parts.CHAINS)).map(Part::one), Stream.of(SYLLABUS))
            .collect(Collectors.toUnmodifiableSet());

    private Kinds() {}

    /** The part that things of a kind belong to; empty for accounts, files and the club. */
    static Optional<Part<?>> part(String kind) {
        return kind.equals(SYLLABUS)
                ? Optional.of(Parts.LADDERS)
                : Parts.ALL.stream().filter(part -> part.one().equals(kind)).findFirst();
    }

    /** Whether a kind is of a part of which something is true. */
    static boolean is(String kind, Predicate<Part<?>> of) {
        return part(kind).filter(of).isPresent();
    }
}
