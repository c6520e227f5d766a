package lynchet.server.map;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.Position;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Technique;
import lynchet.core.round.RoundEvidence;
import lynchet.core.safety.Caution;
import lynchet.core.safety.Cautions;
import lynchet.core.walk.Chance;
import lynchet.core.walk.DecisionTable;
import lynchet.server.keep.Durable;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Refusal;
import lynchet.server.round.RoundStore;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The map: read whole, one decision table, one technique card; and its edits. */
@RestController
@RequestMapping("/api/map")
class MapController {

    private final MapStore maps;
    private final RoundStore rounds;
    private final Durable durable;

    MapController(MapStore maps, RoundStore rounds, Durable durable) {
        this.maps = maps;
        this.rounds = rounds;
        this.durable = durable;
    }

    /** {@code centrality}: by position id, how many shortest walks between other positions pass through it. */
    record MapView(long revision, MapData map, Map<String, Double> centrality) {}

    /** One way the technique is used, with how well it works; {@code when} null: on one's own initiative. */
    record Use(String link, String from, String when, String to, Chance chance) {}

    record TechniqueCard(Technique technique, List<Caution> cautions, List<Use> uses) {}

    @GetMapping
    MapView map() {
        MapSnapshot snapshot = maps.snapshot();
        return new MapView(snapshot.revision(), snapshot.map().data(), snapshot.centrality());
    }

    /** A position's decision table; its ETag is that of the pair it belongs to. */
    @GetMapping("/positions/{id}")
    ResponseEntity<DecisionTable> position(@PathVariable String id, @RequestParam(required = false) String ruleset) {
        MapSnapshot snapshot = maps.snapshot();
        if (snapshot.map().position(id).isEmpty()) {
            throw Refusal.missing("position", id);
        }
        RoundEvidence evidence = rounds.evidence(snapshot.map());
        return ResponseEntity.ok()
                .eTag(ETags.of(snapshot.map().pairOf(id)))
                .body(DecisionTable.of(snapshot.map(), id, snapshot.ruleset(ruleset), evidence::of));
    }

    @GetMapping("/techniques/{id}")
    ResponseEntity<TechniqueCard> technique(@PathVariable String id) {
        Technique technique = present(id);
        GrapplingMap map = maps.snapshot().map();
        RoundEvidence evidence = rounds.evidence(map);
        List<Use> uses = map.links().stream()
                .filter(link -> link.technique().equals(id) && !link.retired())
                .map(link -> new Use(link.id(), link.from(), link.when(), link.to(), evidence.of(link)))
                .toList();
        TechniqueCard card = new TechniqueCard(technique, Cautions.of(technique, map), uses);
        return ResponseEntity.ok().eTag(ETags.of(technique)).body(card);
    }

    private Technique present(String id) {
        return maps.snapshot().map().technique(id).orElseThrow(() -> Refusal.missing("technique", id));
    }

    @PostMapping("/positions")
    PositionPair addPair(@RequestBody PositionPair pair) {
        return put(() -> isNew(pair, findPair(pair.id())), () -> maps.put(MapData.only(pair)), pair);
    }

    @PutMapping("/positions/{id}")
    PositionPair changePair(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody PositionPair pair) {
        same(id, pair.id());
        return put(() -> ETags.match(tag, pair(id), id), () -> maps.put(MapData.only(pair)), pair);
    }

    @PostMapping("/techniques")
    Technique addTechnique(@RequestBody Technique technique) {
        return put(
                () -> isNew(technique, maps.snapshot().map().technique(technique.id())),
                () -> maps.put(MapData.only(technique)),
                technique);
    }

    @PutMapping("/techniques/{id}")
    Technique changeTechnique(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Technique technique) {
        same(id, technique.id());
        return put(() -> ETags.match(tag, present(id), id), () -> maps.put(MapData.only(technique)), technique);
    }

    @PostMapping("/links")
    Link addLink(@RequestBody Link link) {
        return put(() -> isNew(link, maps.snapshot().map().link(link.id())), () -> maps.put(MapData.only(link)), link);
    }

    @PutMapping("/links/{id}")
    Link changeLink(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Link link) {
        same(id, link.id());
        return put(() -> ETags.match(tag, link(id), id), () -> maps.put(MapData.only(link)), link);
    }

    /** Retires a link: it disappears from choices and stays where it is pointed at. */
    @DeleteMapping("/links/{id}")
    Link retireLink(@PathVariable String id) {
        Link retired = link(id).asRetired();
        return put(() -> {}, () -> maps.put(MapData.only(retired)), retired);
    }

    /** Retires a technique: none of its links is offered any more. */
    @DeleteMapping("/techniques/{id}")
    Technique retireTechnique(@PathVariable String id) {
        Technique retired = present(id).asRetired();
        return put(() -> {}, () -> maps.put(MapData.only(retired)), retired);
    }

    /** Retires a reaction. */
    @DeleteMapping("/reactions/{id}")
    Reaction retireReaction(@PathVariable String id) {
        Reaction retired = reactionOf(id).asRetired();
        return put(() -> {}, () -> maps.put(MapData.only(retired)), retired);
    }

    /** Retires a pair of positions that nothing leads to or from any more. */
    @DeleteMapping("/positions/{id}")
    PositionPair retirePair(@PathVariable String id) {
        PositionPair pair = pair(id);
        List<String> ids = pair.positions().stream().map(Position::id).toList();
        maps.snapshot().map().links().stream()
                .filter(link -> !link.retired() && (ids.contains(link.from()) || ids.contains(link.to())))
                .findFirst()
                .ifPresent(link -> {
                    throw Refusal.bad(
                            "STILL_LINKED", link.id(), "The link " + link.id() + " still leads to or from " + id + ".");
                });
        PositionPair retired = pair.asRetired();
        return put(() -> {}, () -> maps.put(MapData.only(retired)), retired);
    }

    private Optional<PositionPair> findPair(String id) {
        return maps.snapshot().map().data().pairs().stream()
                .filter(p -> p.id().equals(id))
                .findFirst();
    }

    private PositionPair pair(String id) {
        return findPair(id).orElseThrow(() -> Refusal.missing("position pair", id));
    }

    private Reaction reactionOf(String id) {
        return maps.snapshot().map().reaction(id).orElseThrow(() -> Refusal.missing("reaction", id));
    }

    /** One pair of positions with its ETag, for changing it. */
    @GetMapping("/pairs/{id}")
    ResponseEntity<PositionPair> onePair(@PathVariable String id) {
        return ETags.tagged(pair(id));
    }

    /** One link with its ETag, for changing it. */
    @GetMapping("/links/{id}")
    ResponseEntity<Link> oneLink(@PathVariable String id) {
        return ETags.tagged(link(id));
    }

    /** One reaction with its ETag, for changing it. */
    @GetMapping("/reactions/{id}")
    ResponseEntity<Reaction> oneReaction(@PathVariable String id) {
        return ETags.tagged(reactionOf(id));
    }

    private Link link(String id) {
        return maps.snapshot().map().link(id).orElseThrow(() -> Refusal.missing("link", id));
    }

    @PostMapping("/reactions")
    Reaction addReaction(@RequestBody Reaction reaction) {
        return put(
                () -> isNew(reaction, maps.snapshot().map().reaction(reaction.id())),
                () -> maps.put(MapData.only(reaction)),
                reaction);
    }

    @PutMapping("/reactions/{id}")
    Reaction changeReaction(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Reaction reaction) {
        same(id, reaction.id());
        return put(() -> ETags.match(tag, reactionOf(id), id), () -> maps.put(MapData.only(reaction)), reaction);
    }

    /** Looks whether the change may be made and makes it, with nobody else writing in between. */
    private <T> T put(Runnable check, Runnable change, T value) {
        return durable.write(() -> {
            maps.inTurn(() -> {
                check.run();
                change.run();
            });
            return value;
        });
    }

    private static void same(String inPath, String inBody) {
        if (!inPath.equals(inBody)) {
            throw Refusal.bad("ID_DIFFERS", "/id", "The address says " + inPath + " and the body " + inBody + ".");
        }
    }

    private static <T> void isNew(T sent, Optional<T> present) {
        if (present.isPresent() && !present.get().equals(sent)) {
            throw Refusal.of(HttpStatus.CONFLICT, "ID_TAKEN", "/id", "There is already something else with this id.");
        }
    }
}
