package lynchet.server.round;

import java.util.Comparator;
import java.util.List;
import lynchet.core.map.GrapplingMap;
import lynchet.core.round.Round;
import lynchet.core.round.RoundEvidence;
import lynchet.server.keep.Shelf;
import org.springframework.stereotype.Service;

/** Keeps the rounds, and what they say of the map. */
@Service
public class RoundStore extends Shelf<Round, RoundRow> {

    private record Known(GrapplingMap map, List<Round> rounds, RoundEvidence evidence) {}

    private volatile Known known;

    RoundStore(RoundRepository rows) {
        super(rows, RoundRow::new, Comparator.comparing(Round::at).thenComparing(Round::id));
    }

    /** How well the links of this map work; worked out anew when the map or a round has changed. */
    public RoundEvidence evidence(GrapplingMap map) {
        List<Round> now = all();
        Known so = known;
        if (so == null || so.map() != map || so.rounds() != now) {
            so = new Known(map, now, RoundEvidence.of(map, now));
            known = so;
        }
        return so.evidence();
    }
}
