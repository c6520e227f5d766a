package lynchet.server.map;

import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Technique;

/** The same things, retired: they disappear from choices and stay in history. */
final class Retired {

    private Retired() {}

    static Link of(Link l) {
        return new Link(
                l.id(),
                l.from(),
                l.technique(),
                l.version(),
                l.when(),
                l.needs(),
                l.meantFor(),
                l.to(),
                l.partial(),
                l.ifStopped(),
                l.note(),
                true);
    }

    static Reaction of(Reaction r) {
        return new Reaction(
                r.id(),
                r.link(),
                r.position(),
                r.text(),
                r.phase(),
                r.manner(),
                r.leaves(),
                r.attack(),
                r.fault(),
                true);
    }

    static Technique of(Technique t) {
        return new Technique(
                t.id(),
                t.name(),
                t.aliases(),
                t.family(),
                t.group(),
                t.jacket(),
                t.sided(),
                t.directions(),
                t.summary(),
                t.steps(),
                t.signs(),
                t.faults(),
                t.versions(),
                t.houseVersion(),
                t.prerequisites(),
                t.receiverFalls(),
                t.carriesOverTo(),
                t.hazards(),
                t.soloForm(),
                t.tags(),
                t.learn(),
                t.master(),
                true);
    }

    static PositionPair of(PositionPair pair) {
        return new PositionPair(
                pair.id(), pair.stage(), of(pair.first()), pair.second() == null ? null : of(pair.second()));
    }

    private static Position of(Position p) {
        return new Position(
                p.id(),
                p.name(),
                p.aliases(),
                p.control(),
                p.controlIn(),
                p.jacket(),
                p.pin(),
                p.summary(),
                p.details(),
                p.cautions(),
                p.fewWaysBecause(),
                true);
    }
}
