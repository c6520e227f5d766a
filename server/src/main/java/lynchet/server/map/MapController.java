package lynchet.server.map;

import java.util.List;
import java.util.Map;
import lynchet.core.card.Technique;
import lynchet.core.club.Parts;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.Position;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.round.RoundEvidence;
import lynchet.core.safety.Caution;
import lynchet.core.safety.Cautions;
import lynchet.core.walk.Chance;
import lynchet.core.walk.DecisionTable;
import lynchet.server.club.OneThing;
import lynchet.server.club.Snapshot;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.round.RoundStore;
import lynchet.server.round.TriesAsked;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
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

    private final TeachingSnapshots taught;
    private final RoundStore rounds;
    private final OneThing edits;

    MapController(TeachingSnapshots taught, RoundStore rounds, OneThing edits) {
        this.taught = taught;
        this.rounds = rounds;
        this.edits = edits;
    }

    /** {@code centrality}: by position id, how many shortest walks between other positions pass through it. */
    record MapView(long revision, MapData map, Map<String, Double> centrality) {}

    /** One way the technique is used, with how well it works; {@code when} null: on one's own initiative. */
    record Use(String link, String from, @Nullable String when, String to, Chance chance, int finishes) {}

    record TechniqueCard(Technique technique, List<Caution> cautions, List<Use> uses) {}

    @OpenTo(Who.ACCOUNTS)
    @GetMapping
    MapView map() {
        Snapshot snapshot = taught.now();
        return new MapView(snapshot.revision(), snapshot.map().data(), snapshot.centrality());
    }

    /** A position's decision table; its ETag is that of the pair it belongs to. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/positions/{id}")
    ResponseEntity<DecisionTable> position(
            @PathVariable String id,
            @RequestParam(required = false) String ruleset,
            @ParameterObject TriesAsked tries,
            Authentication who) {
        Snapshot snapshot = taught.now();
        if (snapshot.map().position(id).isEmpty()) {
            throw Refusal.missing("position", id);
        }
        RoundEvidence evidence = rounds.evidence(snapshot.map(), tries, who);
        return ResponseEntity.ok()
                .eTag(ETags.of(snapshot.map().pairOf(id)))
                .body(DecisionTable.of(snapshot.map(), id, snapshot.ruleset(ruleset), evidence));
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/techniques/{id}")
    ResponseEntity<TechniqueCard> technique(
            @PathVariable String id, @ParameterObject TriesAsked tries, Authentication who) {
        GrapplingMap map = taught.now().map();
        Technique technique = map.technique(id).orElseThrow(() -> Refusal.missing("technique", id));
        RoundEvidence evidence = rounds.evidence(map, tries, who);
        List<Use> uses = map.links().stream()
                .filter(link -> link.technique().equals(id) && !link.retired())
                .map(link -> new Use(
                        link.id(),
                        link.from(),
                        link.when(),
                        link.to(),
                        evidence.works(link),
                        evidence.finishes(link.id())))
                .toList();
        TechniqueCard card = new TechniqueCard(technique, Cautions.of(technique, map), uses);
        return ResponseEntity.ok().eTag(ETags.of(technique)).body(card);
    }

    @OpenTo(Who.HEADS)
    @PostMapping("/positions")
    ResponseEntity<PositionPair> addPair(@RequestBody PositionPair pair) {
        return ETags.tagged(edits.add(Parts.PAIRS, pair));
    }

    @OpenTo(Who.HEADS)
    @PutMapping("/positions/{id}")
    ResponseEntity<PositionPair> changePair(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody PositionPair pair) {
        return ETags.tagged(edits.change(Parts.PAIRS, id, tag, pair));
    }

    /** Retires a pair of positions that nothing leads to or from any more. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/positions/{id}")
    ResponseEntity<PositionPair> retirePair(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        return ETags.tagged(edits.become(Parts.PAIRS, id, tag, pair -> {
            List<String> ids = pair.positions().stream().map(Position::id).toList();
            taught.now().map().links().stream()
                    .filter(link -> !link.retired() && (ids.contains(link.from()) || ids.contains(link.to())))
                    .findFirst()
                    .ifPresent(link -> {
                        throw Refusal.bad(
                                "STILL_LINKED",
                                link.id(),
                                named(link.technique()) + " still leads to or from "
                                        + pair.first().name() + ". Retire it first, or let it lead elsewhere.");
                    });
            return pair.asRetired();
        }));
    }

    private String named(String technique) {
        return taught.now().map().technique(technique).map(Technique::name).orElse("A technique");
    }

    @OpenTo(Who.HEADS)
    @PostMapping("/techniques")
    ResponseEntity<Technique> addTechnique(@RequestBody Technique technique) {
        return ETags.tagged(edits.add(Parts.TECHNIQUES, technique));
    }

    @OpenTo(Who.HEADS)
    @PutMapping("/techniques/{id}")
    ResponseEntity<Technique> changeTechnique(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Technique technique) {
        return ETags.tagged(edits.change(Parts.TECHNIQUES, id, tag, technique));
    }

    /** Retires a technique: none of its links is offered any more. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/techniques/{id}")
    ResponseEntity<Technique> retireTechnique(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        return ETags.tagged(edits.become(Parts.TECHNIQUES, id, tag, Technique::asRetired));
    }

    @OpenTo(Who.HEADS)
    @PostMapping("/links")
    ResponseEntity<Link> addLink(@RequestBody Link link) {
        return ETags.tagged(edits.add(Parts.LINKS, link));
    }

    @OpenTo(Who.HEADS)
    @PutMapping("/links/{id}")
    ResponseEntity<Link> changeLink(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Link link) {
        return ETags.tagged(edits.change(Parts.LINKS, id, tag, link));
    }

    /** Retires a link: it disappears from choices and stays where it is pointed at. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/links/{id}")
    ResponseEntity<Link> retireLink(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        return ETags.tagged(edits.become(Parts.LINKS, id, tag, Link::asRetired));
    }

    @OpenTo(Who.HEADS)
    @PostMapping("/reactions")
    ResponseEntity<Reaction> addReaction(@RequestBody Reaction reaction) {
        return ETags.tagged(edits.add(Parts.REACTIONS, reaction));
    }

    @OpenTo(Who.HEADS)
    @PutMapping("/reactions/{id}")
    ResponseEntity<Reaction> changeReaction(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Reaction reaction) {
        return ETags.tagged(edits.change(Parts.REACTIONS, id, tag, reaction));
    }

    /** Retires a reaction. */
    @OpenTo(Who.HEADS)
    @DeleteMapping("/reactions/{id}")
    ResponseEntity<Reaction> retireReaction(
            @PathVariable String id, @RequestHeader(name = "If-Match", required = false) String tag) {
        return ETags.tagged(edits.become(Parts.REACTIONS, id, tag, Reaction::asRetired));
    }

    /** One pair of positions with its ETag, for changing it. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/pairs/{id}")
    ResponseEntity<PositionPair> onePair(@PathVariable String id) {
        return ETags.tagged(taught.now().map().data().pairs().stream()
                .filter(pair -> pair.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("position pair", id)));
    }

    /** One link with its ETag, for changing it. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/links/{id}")
    ResponseEntity<Link> oneLink(@PathVariable String id) {
        return ETags.tagged(taught.now().map().link(id).orElseThrow(() -> Refusal.missing("link", id)));
    }

    /** One reaction with its ETag, for changing it. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/reactions/{id}")
    ResponseEntity<Reaction> oneReaction(@PathVariable String id) {
        return ETags.tagged(taught.now().map().reaction(id).orElseThrow(() -> Refusal.missing("reaction", id)));
    }
}
