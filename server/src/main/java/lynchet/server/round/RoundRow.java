package lynchet.server.round;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.mat.Side;
import lynchet.core.round.Round;
import lynchet.core.round.RoundBuilder;
import lynchet.server.keep.Row;

@Entity
@Table(name = "round")
class RoundRow extends Row<Round> {

    private Instant at;

    @Enumerated(EnumType.STRING)
    private Round.Kind kind;

    private String firstStudent;

    private String secondStudent;

    private String classId;

    private String ruleset;

    @Enumerated(EnumType.STRING)
    private Round.How endedHow;

    @Enumerated(EnumType.STRING)
    private Round.Who winner;

    private String endPosition;

    private String endLink;

    private String blockId;

    @Column(name = "round_number")
    private int number;

    private String words;

    @Column(name = "by_account")
    private String by;

    @ElementCollection
    @CollectionTable(name = "round_event", joinColumns = @JoinColumn(name = "round"))
    @OrderColumn(name = "place")
    private List<EventRow> events = new ArrayList<>();

    protected RoundRow() {}

    RoundRow(Round value) {
        super(value.id());
        keep(value);
    }

    @Override
    public void keep(Round value) {
        at = value.at();
        kind = value.kind();
        firstStudent = value.first();
        secondStudent = value.second();
        classId = value.classId();
        ruleset = value.ruleset();
        endedHow = value.ended().how();
        winner = value.ended().winner();
        endPosition = value.ended().position();
        endLink = value.ended().link();
        by = value.by();
        blockId = value.blockId();
        number = value.number();
        words = value.words();
        events.clear();
        value.events().forEach(event -> events.add(new EventRow(event)));
    }

    @Override
    public Round toCore() {
        return RoundBuilder.builder()
                .id(getId())
                .at(at)
                .kind(kind)
                .first(firstStudent)
                .second(secondStudent)
                .classId(classId)
                .ruleset(ruleset)
                .ended(new Round.Ended(endedHow, winner, endPosition, endLink))
                .events(events.stream().map(EventRow::toCore).toList())
                .by(by)
                .blockId(blockId)
                .number(number)
                .words(words)
                .build();
    }

    /** One thing that happened in a round. */
    @Embeddable
    static class EventRow {

        @Column(name = "at_second")
        private int second;

        @Enumerated(EnumType.STRING)
        private Round.Who who;

        private String link;

        private String position;

        private String reaction;

        @Enumerated(EnumType.STRING)
        private Round.Intent intent;

        @Enumerated(EnumType.STRING)
        private Round.Outcome outcome;

        @Enumerated(EnumType.STRING)
        private Side side;

        private String note;

        protected EventRow() {}

        EventRow(Round.Event event) {
            second = event.second();
            who = event.who();
            link = event.link();
            position = event.position();
            reaction = event.reaction();
            intent = event.intent();
            outcome = event.outcome();
            side = event.side();
            note = event.note();
        }

        Round.Event toCore() {
            return new Round.Event(second, who, link, position, reaction, intent, outcome, side, note);
        }
    }
}
