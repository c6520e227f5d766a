package lynchet.server.map;

import java.util.List;
import lynchet.core.map.DecisionTable;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Technique;
import lynchet.core.safety.Caution;
import lynchet.core.safety.Cautions;
import lynchet.server.keep.Durable;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Refusal;
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
    private final Durable durable;

    MapController(MapStore maps, Durable durable) {
        this.maps = maps;
        this.durable = durable;
    }

    record MapView(long revision, MapData map) {}

    record TechniqueCard(Technique technique, List<Caution> cautions, List<String> usedFrom) {}

    @GetMapping
    MapView map() {
        MapSnapshot snapshot = maps.snapshot();
        return new MapView(snapshot.revision(), snapshot.map().data());
    }

    @GetMapping("/positions/{id}")
    DecisionTable position(@PathVariable String id, @RequestParam(required = false) String ruleset) {
        MapSnapshot snapshot = maps.snapshot();
        if (snapshot.map().position(id).isEmpty()) {
            throw Refusal.missing("position", id);
        }
        return DecisionTable.of(snapshot.map(), id, snapshot.ruleset(ruleset));
    }

    @GetMapping("/techniques/{id}")
    ResponseEntity<TechniqueCard> technique(@PathVariable String id) {
        Technique technique = present(id);
        List<String> from = maps.snapshot().map().links().stream()
                .filter(link -> link.technique().equals(id) && !link.retired())
                .map(Link::from)
                .distinct()
                .toList();
        TechniqueCard card = new TechniqueCard(
                technique, Cautions.of(technique, maps.snapshot().map()), from);
        return ResponseEntity.ok().eTag(ETags.of(technique)).body(card);
    }

    private Technique present(String id) {
        return maps.snapshot().map().technique(id).orElseThrow(() -> Refusal.missing("technique", id));
    }

    @PostMapping("/positions")
    PositionPair addPair(@RequestBody PositionPair pair) {
        isNew(
                pair,
                maps.snapshot().map().data().pairs().stream()
                        .filter(p -> p.id().equals(pair.id()))
                        .findFirst());
        return put(() -> maps.put(pair), pair);
    }

    @PutMapping("/positions/{id}")
    PositionPair changePair(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody PositionPair pair) {
        same(id, pair.id());
        ETags.match(
                tag,
                maps.snapshot().map().data().pairs().stream()
                        .filter(p -> p.id().equals(id))
                        .findFirst()
                        .orElseThrow(() -> Refusal.missing("position pair", id)),
                id);
        return put(() -> maps.put(pair), pair);
    }

    @PostMapping("/techniques")
    Technique addTechnique(@RequestBody Technique technique) {
        isNew(technique, maps.snapshot().map().technique(technique.id()));
        return put(() -> maps.put(technique), technique);
    }

    @PutMapping("/techniques/{id}")
    Technique changeTechnique(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Technique technique) {
        same(id, technique.id());
        ETags.match(tag, present(id), id);
        return put(() -> maps.put(technique), technique);
    }

    @PostMapping("/links")
    Link addLink(@RequestBody Link link) {
        isNew(link, maps.snapshot().map().link(link.id()));
        return put(() -> maps.put(link), link);
    }

    @PutMapping("/links/{id}")
    Link changeLink(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Link link) {
        same(id, link.id());
        ETags.match(tag, link(id), id);
        return put(() -> maps.put(link), link);
    }

    /** Retires a link: it disappears from choices and stays where it is pointed at. */
    @DeleteMapping("/links/{id}")
    Link retireLink(@PathVariable String id) {
        Link l = link(id);
        Link retired = new Link(
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
        return put(() -> maps.put(retired), retired);
    }

    private Link link(String id) {
        return maps.snapshot().map().link(id).orElseThrow(() -> Refusal.missing("link", id));
    }

    @PostMapping("/reactions")
    Reaction addReaction(@RequestBody Reaction reaction) {
        isNew(reaction, maps.snapshot().map().reaction(reaction.id()));
        return put(() -> maps.put(reaction), reaction);
    }

    @PutMapping("/reactions/{id}")
    Reaction changeReaction(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Reaction reaction) {
        same(id, reaction.id());
        ETags.match(tag, maps.snapshot().map().reaction(id).orElseThrow(() -> Refusal.missing("reaction", id)), id);
        return put(() -> maps.put(reaction), reaction);
    }

    private <T> T put(Runnable change, T value) {
        return durable.write(() -> {
            change.run();
            return value;
        });
    }

    private static void same(String inPath, String inBody) {
        if (!inPath.equals(inBody)) {
            throw Refusal.bad("ID_DIFFERS", "/id", "The address says " + inPath + " and the body " + inBody + ".");
        }
    }

    private static <T> void isNew(T sent, java.util.Optional<T> present) {
        if (present.isPresent() && !present.get().equals(sent)) {
            throw Refusal.of(HttpStatus.CONFLICT, "ID_TAKEN", "/id", "There is already something else with this id.");
        }
    }
}
