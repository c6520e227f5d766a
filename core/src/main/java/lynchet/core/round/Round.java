package lynchet.core.round;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.List;
import java.util.function.UnaryOperator;
import lynchet.core.mat.Side;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Stamped;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * A live bout or spar of two: a card that says how it ended, or a timed log of what happened.
 *
 * @param first student id of the one whose view positions are told from
 * @param second student id of the other; null: somebody from outside, of whom nothing else is kept
 * @param classId class in which it was fought; null outside any, as at a competition
 * @param ruleset id of the ruleset; null: free round
 * @param ended how it ended; never null
 * @param events what happened, in order of time; none for a mere card
 * @param at when; null: when it is sent
 * @param blockId block of the class; null: not said
 * @param number which round of the evening or block, from 1; 0: not said
 * @param words what a coach noted; may be null
 */
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
public record Round(
        String id,
        @Nullable Instant at,
        Kind kind,
        String first,
        @Nullable String second,
        @Nullable String classId,
        @Nullable String ruleset,
        Ended ended,
        @Most(2000) List<Event> events,
        @Most(40) @Nullable String by,
        @Most(80) @Nullable String blockId,
        @Usual("0") int number,
        @Most(200) @Nullable String words)
        implements Stamped<Round> {

    /** Where it was fought. */
    public enum Kind {
        LIVE,
        POSITIONAL,
        COMPETITION
    }

    /** How a round ends. */
    public enum How {
        TAP,
        THROW,
        PIN,
        POINTS,
        TIME,
        /** By the coach, an injury or the two themselves: nobody won. */
        STOPPED;

        /** Whether it ends so because somebody won. */
        public boolean isWon() {
            return this != TIME && this != STOPPED;
        }
    }

    /** Who did it. */
    public enum Who {
        FIRST,
        SECOND
    }

    /** Whether it was meant, or shown to draw a reaction. */
    public enum Intent {
        TRY,
        THREAT
    }

    /** What became of it. */
    public enum Outcome {
        WORKED,
        PARTIAL,
        STOPPED,
        COUNTERED;

        /** 1 when it worked, one half when partly, else 0. */
        public double worked() {
            return switch (this) {
                case WORKED -> 1;
                case PARTIAL -> 0.5;
                case STOPPED, COUNTERED -> 0;
            };
        }
    }

    /**
     * The end.
     *
     * @param winner null: nobody
     * @param position id of the position of the winner just before; may be null
     * @param link id of the winner's last link; may be null
     */
    public record Ended(
            How how,
            @Nullable Who winner,
            @Nullable String position,
            @Nullable String link) {
        public Ended {
            Require.present("how a round ended", how);
        }
    }

    /**
     * One thing that happened.
     *
     * @param second seconds from the start, 0 to 3600
     * @param link id of the link tried; null for a change of position without a name
     * @param position id of the position that {@code who} is in afterwards; null: where the link says
     * @param reaction id of the other one's reaction; may be null
     */
    public record Event(
            int second,
            Who who,
            @Nullable String link,
            @Nullable String position,
            @Nullable String reaction,
            Intent intent,
            Outcome outcome,
            Side side,
            @Most(200) @Nullable String note) {
        public Event {
            Require.within("the second of an event", second, 0, 3600);
            Require.present("who acts in an event", who);
            if (link == null && position == null) {
                throw new IllegalArgumentException("an event names a link or the position it leads to");
            }
            intent = intent == null ? Intent.TRY : intent;
            outcome = outcome == null ? Outcome.WORKED : outcome;
            side = side == null ? Side.BOTH : side;
        }
    }

    public Round {
        Require.id("a round", id);
        kind = kind == null ? Kind.LIVE : kind;
        Require.present("the first of this round", first);
        if (first.equals(second)) {
            throw new IllegalArgumentException("this round needs two different people");
        }
        Require.present("the end of this round", ended);
        Require.within("the number of this round", number, 0, 500);
        words = words == null || words.isBlank() ? null : words.strip();
        events = Require.list(events);
        for (int i = 1; i < events.size(); i++) {
            if (events.get(i).second() < events.get(i - 1).second()) {
                throw new IllegalArgumentException("the events of this round go back in time at number " + i);
            }
        }
    }

    /** Ids of the club's people in it. */
    public List<String> members() {
        return second == null ? List.of(first) : List.of(first, second);
    }

    /** Whether it says no more than how it ended. */
    public boolean hasNoLog() {
        return events.isEmpty();
    }

    /** Id of a member, or of the other one where that is asked; null: from outside. */
    public @Nullable String member(Who who) {
        return who == Who.FIRST ? first : second;
    }

    /** Id of the one who lost; null: nobody, or somebody from outside. */
    public @Nullable String loser() {
        return ended.winner() == null ? null : member(ended.winner() == Who.FIRST ? Who.SECOND : Who.FIRST);
    }

    /** What a person tried on purpose by a named link, and it worked; of a card, what it ended with. */
    public List<Event> successesOf(String person) {
        Who who = person.equals(first) ? Who.FIRST : Who.SECOND;
        if (hasNoLog()) {
            return ended.winner() != who || ended.link() == null
                    ? List.of()
                    : List.of(new Event(0, who, ended.link(), null, null, null, null, null, null));
        }
        return events.stream()
                .filter(e ->
                        e.who() == who && e.link() != null && e.intent() == Intent.TRY && e.outcome() == Outcome.WORKED)
                .toList();
    }

    @Override
    public Round stamped(@Nullable Instant when, @Nullable String account) {
        return RoundBuilder.builder(this).at(when).by(account).build();
    }

    /** The same round with its links called by other names. */
    public Round through(UnaryOperator<String> links) {
        List<Event> renamed = events.stream()
                .map(e -> e.link() == null
                        ? e
                        : new Event(
                                e.second(),
                                e.who(),
                                links.apply(e.link()),
                                e.position(),
                                e.reaction(),
                                e.intent(),
                                e.outcome(),
                                e.side(),
                                e.note()))
                .toList();
        Ended end = ended.link() == null
                ? ended
                : new Ended(ended.how(), ended.winner(), ended.position(), links.apply(ended.link()));
        return RoundBuilder.builder(this).ended(end).events(renamed).build();
    }
}
