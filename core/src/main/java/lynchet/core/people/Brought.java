package lynchet.core.people;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * What somebody knew already when they came with a rank: one answer a person and ladder. It counts like passes of that
 * moment and is none: no coach here has seen it, so a later "not yet" overrules it, and a fall of it is not one that was seen.
 *
 * @param below the rank they came with; what the ranks below it asked on that day is what they had
 * @param answer what the head coach said, or that a coach asks for an answer
 * @param had each thing that was asked, as it stood on that day; empty unless the answer is {@link Answer#ALL}
 * @param on the day it was written down, from which it fades
 * @param at the moment of it; null: the beginning of that day
 * @param by account of the coach; null: not known
 */
public record Brought(
        String id,
        String student,
        String ladder,
        String below,
        Answer answer,
        @Most(2000) List<Had> had,
        LocalDate on,
        @Nullable Instant at,
        @Most(40) @Nullable String by) {

    /** Half of it is forgotten after so many days, until it is first trained here. */
    public static final double HALF_LIFE = 180;

    /** What was said about somebody who came with a rank. */
    public enum Answer {
        /** They have all that is asked below it. */
        ALL,
        /** Nothing of it is taken for granted. */
        NOTHING,
        /** A coach asks the head coach to say. */
        ASKED
    }

    /**
     * One thing they had.
     *
     * @param subject what it is about, as marks and practice name it
     * @param side the side; both for what has no side or was asked on both
     * @param version id of the version that was asked; null: any
     * @param fall whether it is a breakfall, which somebody here has to see before it is relied upon
     */
    public record Had(
            String subject,
            Role role,
            Side side,
            @Nullable String version,
            Standard standard,
            @Usual("false") boolean fall) {
        public Had {
            Require.present("what was brought", subject);
            Require.present("whether it was brought as performer", role);
            Require.present("the side of what was brought", side);
            Require.present("the standard of what was brought", standard);
        }

        /** The same of another subject. */
        public Had about(String other, @Nullable String otherVersion) {
            return new Had(other, role, side, otherVersion, standard, fall);
        }
    }

    public Brought {
        Require.id("what was brought", id);
        Require.present("the student of what somebody brought", student);
        Require.present("the ladder of what somebody brought", ladder);
        Require.present("the rank of what somebody brought", below);
        Require.present("the answer of what somebody brought", answer);
        Require.present("the day of what somebody brought", on);
        had = Require.list(had);
        if (answer != Answer.ALL && !had.isEmpty()) {
            throw new IllegalArgumentException("what somebody brought says " + answer + " and names things");
        }
    }

    /** When it began to count. */
    public Instant since() {
        return at == null ? on.atStartOfDay().toInstant(ZoneOffset.UTC) : at;
    }

    /** The breakfalls among it, in order of id. */
    public List<String> falls() {
        return had.stream()
                .filter(Had::fall)
                .map(Had::subject)
                .distinct()
                .sorted()
                .toList();
    }

    /** The same with other things. */
    public Brought having(List<Had> others) {
        return new Brought(id, student, ladder, below, answer, others, on, at, by);
    }

    /** Whether anything is asked below a rank, so that there is something to say about who comes with it. */
    public static boolean isAskedBelow(Ladder ladder, String rank) {
        return itemsBelow(ladder, rank) > 0;
    }

    /** How many items are asked below a rank. */
    public static int itemsBelow(Ladder ladder, String rank) {
        return (int) below(ladder, rank).flatMap(Rank::items).count();
    }

    /**
     * All that the ranks below one ask today, and the falls that their throws need: falls as shown at most, since nobody
     * here has seen them.
     *
     * @param own the side on which somebody does what is asked on either
     */
    public static List<Had> allBelow(Ladder ladder, String rank, GrapplingMap map, Side own) {
        Set<Had> had = new LinkedHashSet<>();
        Set<String> falls = new TreeSet<>();
        below(ladder, rank).flatMap(Rank::items).forEach(item -> {
            had.add(had(item, map, own));
            Ladder.techniqueOf(item, map)
                    .flatMap(map::technique)
                    .filter(technique -> technique.family() != Family.BREAKFALL)
                    .ifPresent(thrown -> falls.addAll(thrown.receiverFalls()));
        });
        had.stream().map(Had::subject).forEach(falls::remove);
        falls.forEach(fall -> had.add(new Had(fall, Role.PERFORMER, Side.BOTH, null, Standard.SHOWN, true)));
        return List.copyOf(had);
    }

    private static Stream<Rank> below(Ladder ladder, String rank) {
        return ladder.ranks().subList(0, Math.max(0, ladder.indexOf(rank))).stream();
    }

    private static Had had(Item item, GrapplingMap map, Side own) {
        String subject = Progress.subject(item, map);
        Optional<Technique> technique = map.technique(subject);
        boolean isFall =
                technique.filter(card -> card.family() == Family.BREAKFALL).isPresent();
        Standard standard = isFall && item.standard().compareTo(Standard.SHOWN) > 0 ? Standard.SHOWN : item.standard();
        boolean isSided = technique.filter(Technique::sided).isPresent();
        return new Had(
                subject,
                item.role(),
                isSided ? side(item.sides(), own) : Side.BOTH,
                item.version(),
                standard,
                isFall && item.role() == Role.PERFORMER);
    }

    private static Side side(Sides asked, Side own) {
        return switch (asked) {
            case BOTH -> Side.BOTH;
            case RIGHT -> Side.RIGHT;
            case LEFT -> Side.LEFT;
            case EITHER -> own == Side.LEFT ? Side.LEFT : Side.RIGHT;
        };
    }
}
