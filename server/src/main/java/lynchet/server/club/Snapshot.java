package lynchet.server.club;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import lynchet.core.card.Jacket;
import lynchet.core.chain.Chain;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Position;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.rule.Breach;
import lynchet.core.term.Calendar;
import lynchet.core.term.PlannedClasses;
import lynchet.core.term.Teaching;
import lynchet.core.term.cycle.CycledClasses;
import lynchet.core.walk.Centrality;
import lynchet.core.walk.MoveGraph;
import lynchet.server.keep.Refusal;
import org.jspecify.annotations.Nullable;

/** One revision of what the club teaches, with what is computed once from it. No records are in it. */
public final class Snapshot {

    private final Club taught;
    private final GrapplingMap map;
    private final long revision;
    private final Map<String, String> chainNames;
    private final Map<Target, Set<String>> offered = new EnumMap<>(Target.class);
    private final Map<Which, MoveGraph> graphs = new ConcurrentHashMap<>();
    private volatile Map<String, Double> centrality;
    private volatile Set<String> broken;
    private volatile PlannedClasses planned;
    private volatile CycledClasses cycled;
    private volatile Teaching teaching;

    Snapshot(Club taught, long revision) {
        this.taught = taught;
        this.map = GrapplingMap.of(taught.map(), taught.numbers());
        this.revision = revision;
        this.chainNames =
                taught.chains().stream().collect(Collectors.toMap(Chain::id, Chain::name, (one, other) -> one));
        Parts.taught().forEach(part -> offers(part, taught));
    }

    private <T> void offers(Part<T> part, Club club) {
        club.all(part).forEach(thing -> part.offers()
                .accept(thing, (target, id) -> offered.computeIfAbsent(target, t -> new HashSet<>())
                        .add(id)));
    }

    /** Everything that is taught, and the calendar. */
    public Club taught() {
        return taught;
    }

    public GrapplingMap map() {
        return map;
    }

    /** The club's own numbers, or the usual ones. */
    public ClubNumbers numbers() {
        return map.numbers();
    }

    /** Names of chains by id. */
    public Map<String, String> chainNames() {
        return chainNames;
    }

    public long revision() {
        return revision;
    }

    /** Whether what is taught offers such a thing. */
    public boolean offers(Target target, String id) {
        return offered.getOrDefault(target, Set.of()).contains(id);
    }

    public List<Ladder> ladders() {
        return taught.ladders();
    }

    /** @throws Refusal 404 if there is no such ladder */
    public Ladder ladder(String id) {
        return ladder(taught, id);
    }

    /** @throws Refusal 404 if there is no such ladder */
    public static Ladder ladder(Club club, String id) {
        return find(club.ladders(), "ladder", id, Ladder::id);
    }

    /**
     * The ladder on which a rank stands.
     *
     * @throws Refusal 404 if there is no such rank
     */
    public Ladder ladderWith(String rank) {
        return ladders().stream()
                .filter(ladder -> ladder.indexOf(rank) >= 0)
                .findFirst()
                .orElseThrow(() -> Refusal.missing("rank", rank));
    }

    /** @throws Refusal 404 if there is no such chain */
    public Chain chain(String id) {
        return find(taught.chains(), "chain", id, Chain::id);
    }

    private static <T> T find(List<T> all, String kind, String id, java.util.function.Function<T, String> idOf) {
        return all.stream()
                .filter(one -> idOf.apply(one).equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.missing(kind, id));
    }

    /** Whether this stood before: what an older program let in does not keep anybody from changing something else. */
    boolean isAlreadyBroken(Breach breach) {
        Set<String> known = broken;
        if (known == null) {
            known = ClubCheck.check(taught).stream().map(Snapshot::told).collect(Collectors.toSet());
            broken = known;
        }
        return known.contains(told(breach));
    }

    private static String told(Breach breach) {
        return breach.rule() + " " + breach.id() + " " + breach.sentence();
    }

    /** The classes that the weekly slots give. */
    public Calendar calendar() {
        return Calendar.of(taught.tracks(), taught.terms(), taught.closures()).filledBy(this::filled);
    }

    /** A class with the blocks that the term's plan or the track's cycle has for it, where nobody has made any. */
    public TrainingClass filled(TrainingClass training) {
        return cycled().filled(planned().filled(training));
    }

    /** The classes that terms' plans fill. */
    public PlannedClasses planned() {
        PlannedClasses known = planned;
        if (known == null) {
            known = new PlannedClasses(taught.all(Parts.PLANS), teaching());
            planned = known;
        }
        return known;
    }

    /** The classes that cycles of theme weeks fill. */
    public CycledClasses cycled() {
        CycledClasses known = cycled;
        if (known == null) {
            Calendar bare = Calendar.of(taught.tracks(), taught.terms(), taught.closures());
            known = new CycledClasses(taught.all(Parts.CYCLES), taught.all(Parts.PLANS), bare, teaching());
            cycled = known;
        }
        return known;
    }

    /** What it takes to teach what the club teaches. */
    public Teaching teaching() {
        Teaching known = teaching;
        if (known == null) {
            known = new Teaching(map, taught.chains());
            teaching = known;
        }
        return known;
    }

    public Map<String, Double> centrality() {
        Map<String, Double> known = centrality;
        if (known == null) {
            known = Centrality.of(map);
            centrality = known;
        }
        return known;
    }

    private record Which(String ruleset, Jacket worn, boolean halfway) {}

    /** The moves under a ruleset; null: the whole map, from where the two stand apart. */
    public MoveGraph graph(@Nullable String ruleset) {
        return graph(ruleset, Jacket.EITHER, false);
    }

    /**
     * The moves that count.
     *
     * @param ruleset null: the whole map, from where the two stand apart
     * @param halfway whether what is stopped or half works leads on too
     * @throws Refusal 404 if there is no such ruleset
     */
    public MoveGraph graph(@Nullable String ruleset, Jacket worn, boolean halfway) {
        return graphs.computeIfAbsent(new Which(ruleset, worn, halfway), which -> {
            Ruleset rules = ruleset(ruleset);
            List<String> starts = rules != null ? rules.entries() : apart();
            return MoveGraph.of(map, new MoveGraph.Conditions(rules, worn, starts, halfway));
        });
    }

    /** What looks whether the ranks of a ladder hang together, under its rules. */
    public SyllabusCheck check(Ladder ladder) {
        return new SyllabusCheck(graph(ladder.ruleset()), centrality(), taught.chains());
    }

    private List<String> apart() {
        return map.positions().stream()
                .map(Position::id)
                .filter(id -> map.stageOf(id) == Stage.APART)
                .toList();
    }

    /** @throws Refusal 404 if there is no such ruleset */
    public Ruleset ruleset(String id) {
        return id == null ? null : map.ruleset(id).orElseThrow(() -> Refusal.missing("ruleset", id));
    }
}
