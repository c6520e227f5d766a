package lynchet.starter.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Side;
import lynchet.core.people.Brought;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Lead;
import lynchet.core.rank.Ladder;

/** What those who wore their belt before the club kept records knew already: said of most, still open for two. */
final class DemoBrought {

    private static final Map<String, Brought.Answer> ANSWERS = Map.of(
            "gus-merriday", Brought.Answer.ALL,
            "noor-tidewell", Brought.Answer.ALL,
            "ebbe-rushworth", Brought.Answer.ASKED);

    /** Nobody has said yet of these. */
    private static final Set<String> OPEN = Set.of("vera-lindqvist-poole", "wanda-crake");

    private DemoBrought() {}

    static List<Brought> of(LocalDate today, List<DemoPeople.Person> people, List<Ladder> ladders, GrapplingMap map) {
        List<Brought> all = new ArrayList<>();
        for (DemoPeople.Person person : people) {
            HeldRank held = person.held();
            String id = person.student().id();
            Ladder ladder = ladders.stream()
                    .filter(one -> one.id().equals(held.ladder()))
                    .findFirst()
                    .orElseThrow();
            if (!held.fromBefore() || OPEN.contains(id) || !Brought.isAskedBelow(ladder, held.rank())) {
                continue;
            }
            Brought.Answer answer = ANSWERS.getOrDefault(id, Brought.Answer.NOTHING);
            Side own = person.student().lead() == Lead.LEFT ? Side.LEFT : Side.RIGHT;
            all.add(new Brought(
                    "br-" + id,
                    id,
                    ladder.id(),
                    held.rank(),
                    answer,
                    answer == Brought.Answer.ALL ? Brought.allBelow(ladder, held.rank(), map, own) : List.of(),
                    today.minusWeeks(DemoPeople.WEEKS),
                    null,
                    answer == Brought.Answer.ASKED ? "wren" : "head"));
        }
        return all;
    }
}
