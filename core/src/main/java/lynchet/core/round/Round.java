package lynchet.core.round;

import java.time.Instant;
import java.util.List;
import java.util.function.UnaryOperator;
import lynchet.core.mat.Side;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * A live bout or spar between two students: a card that says how it ended, or a timed log of what happened.
 *
 * @param first student id of the one whose view positions are told from
 * @param second student id of the other
 * @param classId class in which it was fought; null at a competition
 * @param ruleset id of the ruleset; null: free round
 * @param ended how it ended; never null
 * @param events what happened, in order of time; none for a mere card
 */
public record Round(
        String id,
        Instant at,
        Kind kind,
        String first,
        String second,
        @Nullable String classId,
        @Nullable String ruleset,
        Ended ended,
        @Most(2000) List<Event> events,
        @Most(40) @Nullable String by) {

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
        TIME
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
        Require.present("the time of this round", at);
        kind = kind == null ? Kind.LIVE : kind;
        Require.present("the first of this round", first);
        Require.present("the second of this round", second);
        if (first.equals(second)) {
            throw new IllegalArgumentException("this round needs two different people");
        }
        Require.present("the end of this round", ended);
        events = Require.list(events);
        for (int i = 1; i < events.size(); i++) {
            if (events.get(i).second() < events.get(i - 1).second()) {
                throw new IllegalArgumentException("the events of this round go back in time at number " + i);
            }
        }
    }

    /** Ids of the club's people in it. */
    public List<String> members() {
        return List.of(first, second);
    }

    /** What a person tried on purpose by a named link, and it worked. */
    public List<Event> successesOf(String person) {
        Who who = person.equals(first) ? Who.FIRST : Who.SECOND;
        return events.stream()
                .filter(e ->
                        e.who() == who && e.link() != null && e.intent() == Intent.TRY && e.outcome() == Outcome.WORKED)
                .toList();
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
        return new Round(id, at, kind, first, second, classId, ruleset, end, renamed, by);
    }
}
