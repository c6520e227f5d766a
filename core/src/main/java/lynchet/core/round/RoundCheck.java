package lynchet.core.round;

import java.util.Optional;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.rule.Breach;

/** What a new round may not say; what was kept before is read as it is. */
public final class RoundCheck {

    private final GrapplingMap map;
    private final Round round;

    private RoundCheck(GrapplingMap map, Round round) {
        this.map = map;
        this.round = round;
    }

    /** The first thing that cannot have been so; empty: nothing. */
    public static Optional<Breach> of(Round round, GrapplingMap map) {
        RoundCheck check = new RoundCheck(map, round);
        return check.winner().or(check::retired).or(check::place).or(check::means);
    }

    /** The same round with the place where its last technique starts, if that was left out. */
    public static Round completed(Round round, GrapplingMap map) {
        Round.Ended end = round.ended();
        return map.link(end.link())
                .filter(link -> end.position() == null)
                .map(link -> RoundBuilder.builder(round)
                        .ended(new Round.Ended(end.how(), end.winner(), link.from(), end.link()))
                        .build())
                .orElse(round);
    }

    private Optional<Breach> winner() {
        Round.Ended end = round.ended();
        if (end.how().isWon() && end.winner() == null) {
            return breach("WINNER", "/ended/winner", "somebody won this round: say who");
        }
        if (!end.how().isWon() && (end.winner() != null || end.link() != null)) {
            return breach("WINNER", "/ended/winner", "nobody wins a round whose time ran out or that was stopped");
        }
        return Optional.empty();
    }

    private Optional<Breach> retired() {
        String place = round.ended().position();
        if (place != null
                && map.position(place).isPresent()
                && map.position(place).orElseThrow().retired()) {
            return breach("RETIRED", "/ended/position", name(place) + " is retired; choose another position");
        }
        return map.link(round.ended().link())
                .filter(link -> link.retired() || technique(link).retired())
                .flatMap(link -> breach(
                        "RETIRED", "/ended/link", technique(link).name() + " from there is retired; choose another"));
    }

    private Optional<Breach> place() {
        String place = round.ended().position();
        return map.link(round.ended().link())
                .filter(link -> place != null && !place.equals(link.from()))
                .flatMap(link -> breach(
                        "END_FROM_THERE",
                        "/ended/link",
                        technique(link).name() + " starts from " + name(link.from()) + ", not from " + name(place)));
    }

    private Optional<Breach> means() {
        return map.link(round.ended().link())
                .filter(link -> !fits(link))
                .flatMap(link -> breach(
                        "END_FROM_THERE", "/ended/link", technique(link).name() + " does not end a round in this way"));
    }

    private boolean fits(Link link) {
        return switch (round.ended().how()) {
            case TAP -> link.endsInTap();
            case THROW -> technique(link).family().bringsDown();
            case PIN, POINTS -> !link.endsInTap();
            case TIME, STOPPED -> false;
        };
    }

    private Technique technique(Link link) {
        return map.technique(link.technique()).orElseThrow();
    }

    private String name(String position) {
        return map.position(position).map(Position::name).orElse("a position that is not on the map");
    }

    private Optional<Breach> breach(String rule, String where, String sentence) {
        return Optional.of(new Breach(rule, where, round.id(), sentence));
    }
}
