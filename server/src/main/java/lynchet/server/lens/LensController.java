package lynchet.server.lens;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Jacket;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Position;
import lynchet.core.map.Ruleset;
import lynchet.core.people.MarkBook;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.round.RoundEvidence;
import lynchet.core.walk.Finding;
import lynchet.core.walk.Gaps;
import lynchet.core.walk.Knowledge;
import lynchet.core.walk.Move;
import lynchet.core.walk.MoveGraph;
import lynchet.core.walk.Reach;
import lynchet.core.walk.Routes;
import lynchet.core.walk.SmallestMend;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.map.IgnoredGapStore;
import lynchet.server.people.People;
import lynchet.server.round.RoundStore;
import lynchet.server.round.TriesAsked;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The map through somebody's eyes: what a rank, a student or the whole club reaches and leaves open. */
@RestController
@OpenTo(Who.ACCOUNTS)
@RequestMapping("/api/map")
class LensController {

    private static final int MOST_ROUTES = 20;

    private final TeachingSnapshots taught;
    private final People people;
    private final RoundStore rounds;
    private final IgnoredGapStore ignored;

    LensController(TeachingSnapshots taught, People people, RoundStore rounds, IgnoredGapStore ignored) {
        this.taught = taught;
        this.people = people;
        this.rounds = rounds;
        this.ignored = ignored;
    }

    /** A reached position: fewest moves, and one shortest way. */
    record Reached(int moves, List<Move> way) {}

    /** A set of techniques seen under a ruleset; {@code ladder} and {@code rank} are null but for a rank's. */
    private record Eyes(Snapshot snapshot, MoveGraph graph, Set<String> known, Ladder ladder, String rank) {
        Knowledge against(boolean anyone) {
            return anyone ? Knowledge.againstAnyone(graph, known) : Knowledge.sameLevel(graph, known);
        }
    }

    @GetMapping("/gaps")
    List<Finding> gaps(
            @RequestParam(required = false) String rank,
            @RequestParam(required = false) String student,
            @RequestParam(required = false) String ruleset,
            @RequestParam(defaultValue = "EITHER") Jacket jacket,
            @RequestParam(defaultValue = "same") String against) {
        Eyes eyes = eyes(rank, student, ruleset, jacket, false);
        boolean anyone = anyone(against);
        return ignored.withoutIgnored(open(eyes, anyone), rank, student);
    }

    private static List<Finding> open(Eyes eyes, boolean anyone) {
        if (eyes.ladder() != null) {
            Snapshot snapshot = eyes.snapshot();
            return new SyllabusCheck(
                            eyes.graph(),
                            snapshot.centrality(),
                            snapshot.taught().chains())
                    .of(eyes.ladder(), eyes.rank(), anyone);
        }
        Knowledge knowledge = eyes.against(anyone);
        List<Finding> gaps = Gaps.find(eyes.graph(), knowledge, eyes.snapshot().centrality(), false, Set.of());
        return new SmallestMend(eyes.graph(), knowledge).mended(gaps);
    }

    /** What is reached; with {@code halfway}, also by what is stopped or half works. */
    @GetMapping("/reach")
    Map<String, Reached> reach(
            @RequestParam(required = false) String rank,
            @RequestParam(required = false) String student,
            @RequestParam(required = false) String ruleset,
            @RequestParam(defaultValue = "EITHER") Jacket jacket,
            @RequestParam(defaultValue = "false") boolean halfway,
            @RequestParam(defaultValue = "same") String against) {
        Eyes eyes = eyes(rank, student, ruleset, jacket, halfway);
        Reach reach = Reach.of(eyes.graph(), eyes.against(anyone(against)));
        Map<String, Reached> reached = new TreeMap<>();
        for (Position position : eyes.snapshot().map().positions()) {
            reach.moves(position.id())
                    .ifPresent(moves -> reached.put(position.id(), new Reached(moves, reach.way(position.id()))));
        }
        return reached;
    }

    /**
     * A route.
     *
     * @param rank the first rank at which all of it is taught; null when that never happens
     * @param illegalIn ids of the rulesets under which some of it is not legal
     */
    record RouteView(
            Routes.Route route, String ladder, @Nullable String rank, List<String> illegalIn) {}

    /**
     * The most likely routes from a position to another one or, with {@code end=any}, to any end; {@code least} 2 leaves
     * out what is one technique.
     */
    @GetMapping("/routes")
    List<RouteView> routes(
            @RequestParam String from,
            @RequestParam(required = false) String to,
            @RequestParam(required = false) String end,
            @RequestParam(defaultValue = "1") int least,
            @RequestParam(defaultValue = "5") int k,
            @RequestParam(required = false) String rank,
            @RequestParam(required = false) String student,
            @RequestParam(required = false) String ruleset,
            @RequestParam(defaultValue = "EITHER") Jacket jacket,
            @ParameterObject TriesAsked tries,
            Authentication who) {
        if ((to == null) == (end == null) || end != null && !end.equals("any")) {
            throw Refusal.bad("ROUTE_END", "to", "Say where the route goes: to a position, or end=any.");
        }
        if (k < 1 || k > MOST_ROUTES) {
            throw Refusal.bad("ROUTE_COUNT", "k", "Ask for 1 to " + MOST_ROUTES + " routes.");
        }
        if (least < 1 || least > Routes.MOST_LEGS) {
            throw Refusal.bad(
                    "ROUTE_LENGTH",
                    "least",
                    "A route has 1 to " + Routes.MOST_LEGS + " techniques; ask for at least one.");
        }
        Eyes eyes = eyes(rank, student, ruleset, jacket, false);
        GrapplingMap map = eyes.snapshot().map();
        for (String position : to == null ? List.of(from) : List.of(from, to)) {
            map.position(position).orElseThrow(() -> Refusal.missing("position", position));
        }
        RoundEvidence evidence = rounds.evidence(map, tries, who);
        Ladder ladder = eyes.ladder() != null
                ? eyes.ladder()
                : taught.now().ladders().stream().findFirst().orElse(null);
        return Routes.find(eyes.graph(), eyes.against(false), evidence, from, to, least, k).stream()
                .map(route -> new RouteView(
                        route,
                        ladder == null ? null : ladder.id(),
                        ladder == null ? null : taughtBy(route, ladder, map),
                        illegalIn(route, map)))
                .toList();
    }

    private static List<String> illegalIn(Routes.Route route, GrapplingMap map) {
        return map.data().rulesets().stream()
                .filter(ruleset -> route.legs().stream()
                        .flatMap(leg -> techniqueOf(leg, map))
                        .anyMatch(id -> !ruleset.allows(map.technique(id).orElseThrow())))
                .map(Ruleset::id)
                .toList();
    }

    /** The technique of a leg; none where they react at a position by themselves. */
    private static Stream<String> techniqueOf(Routes.Leg leg, GrapplingMap map) {
        return Stream.ofNullable(leg.link())
                .map(id -> map.link(id).orElseThrow().technique());
    }

    private static String taughtBy(Routes.Route route, Ladder ladder, GrapplingMap map) {
        Map<String, String> taughtAt = ladder.taughtAt(map);
        int last = 0;
        for (String technique :
                route.legs().stream().flatMap(leg -> techniqueOf(leg, map)).toList()) {
            String at = taughtAt.get(technique);
            if (at == null) {
                return null;
            }
            last = Math.max(last, ladder.indexOf(at));
        }
        return ladder.ranks().get(last).id();
    }

    private Eyes eyes(String rank, String student, String ruleset, Jacket jacket, boolean halfway) {
        if (rank != null && student != null) {
            throw Refusal.bad("EYES", "rank", "Look through a rank's eyes or a student's, not both.");
        }
        Snapshot snapshot = taught.now();
        snapshot.ruleset(ruleset);
        if (rank != null) {
            Ladder ladder = snapshot.ladderWith(rank);
            MoveGraph graph = snapshot.graph(ruleset == null ? ladder.ruleset() : ruleset, jacket, halfway);
            return new Eyes(snapshot, graph, ladder.knownBy(rank, snapshot.map()), ladder, rank);
        }
        Set<String> known = student == null
                ? snapshot.map().techniques().stream().map(Technique::id).collect(Collectors.toSet())
                : passed(student);
        return new Eyes(snapshot, snapshot.graph(ruleset, jacket, halfway), known, null, null);
    }

    private Set<String> passed(String student) {
        people.one(student);
        MarkBook marks = people.state(student).marks();
        return marks.subjects().stream()
                .filter(subject -> marks.known(subject).isPresent())
                .collect(Collectors.toSet());
    }

    private static boolean anyone(String against) {
        return switch (against) {
            case "same" -> false;
            case "anyone" -> true;
            default -> throw Refusal.bad("AGAINST", "against", "Against is same or anyone.");
        };
    }
}
