package lynchet.core.map;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import lynchet.core.card.Family;
import lynchet.core.card.Fault;
import lynchet.core.card.Need;
import lynchet.core.card.Technique;
import lynchet.core.rule.Breach;

/** The rules of design section 3 that every map must keep; anything else is refused with rule and id. */
public final class WellFormed {

    private final MapData data;
    private final List<Breach> breaches = new ArrayList<>();
    private final Map<String, Position> positions = new HashMap<>();
    private final Map<String, String> counterpart = new HashMap<>();
    private final Map<String, Technique> techniques;
    private final Map<String, Link> links;
    private final Map<String, Reaction> reactions;
    private final MapNames names;

    private WellFormed(MapData data) {
        this.data = data;
        this.techniques = byId("techniques", data.techniques(), Technique::id);
        this.links = byId("links", data.links(), Link::id);
        this.reactions = byId("reactions", data.reactions(), Reaction::id);
        this.names = new MapNames(positions, techniques, links, reactions);
    }

    /** Every breach in the order of the data; an empty list means that the map is well formed. */
    public static List<Breach> check(MapData data) {
        WellFormed check = new WellFormed(data);
        check.pairs();
        check.techniqueCards();
        check.linksStartAndEnd();
        check.reactionsAttachAndLeave();
        check.rulesets();
        check.prerequisitesFormNoCycle();
        return List.copyOf(check.breaches);
    }

    private <T> Map<String, T> byId(String part, List<T> things, Function<T, String> id) {
        Map<String, T> found = new LinkedHashMap<>();
        for (int i = 0; i < things.size(); i++) {
            String key = id.apply(things.get(i));
            if (found.putIfAbsent(key, things.get(i)) != null) {
                breach("ID_UNIQUE", part, i, "id", key, "the same id is used twice among the " + part);
            }
        }
        return found;
    }

    private void pairs() {
        Set<String> pairIds = new HashSet<>();
        for (int i = 0; i < data.pairs().size(); i++) {
            PositionPair pair = data.pairs().get(i);
            if (!pairIds.add(pair.id())) {
                breach("ID_UNIQUE", "pairs", i, "id", pair.id(), "the same id is used twice among the pairs");
            }
            for (Position position : pair.positions()) {
                if (position.id().equals(Link.TAP) || positions.putIfAbsent(position.id(), position) != null) {
                    breach(
                            "ID_UNIQUE",
                            "pairs",
                            i,
                            "id",
                            position.id(),
                            "the id of " + position.name() + " is used twice among the positions");
                }
            }
            pair.positions().forEach(p -> counterpart.put(p.id(), pair.id()));
            mirrors(i, pair);
        }
    }

    private void mirrors(int i, PositionPair pair) {
        Position first = pair.first();
        if (pair.second() == null) {
            if (first.control() != 0 || first.controlIn().values().stream().anyMatch(c -> c != 0)) {
                breach(
                        "CONTROL_MIRRORS",
                        "pairs",
                        i,
                        "first/control",
                        first.id(),
                        first.name() + " is its own counterpart, so its control must be 0");
            }
            return;
        }
        Position second = pair.second();
        boolean mirrored = first.control() == -second.control() + 0.0
                && first.controlIn().keySet().equals(second.controlIn().keySet())
                && first.controlIn().entrySet().stream()
                        .allMatch(e -> e.getValue() == -second.controlIn().get(e.getKey()) + 0.0);
        if (!mirrored) {
            breach(
                    "CONTROL_MIRRORS",
                    "pairs",
                    i,
                    "second/control",
                    second.id(),
                    "the control of " + second.name() + " must be the opposite of that of " + first.name());
        }
    }

    private void techniqueCards() {
        for (int i = 0; i < data.techniques().size(); i++) {
            Technique technique = data.techniques().get(i);
            String id = technique.id();
            boolean hasHouse = technique.houseVersion() != null;
            if (hasHouse != !technique.versions().isEmpty()
                    || hasHouse
                            && technique.versions().stream().noneMatch(v -> v.id().equals(technique.houseVersion()))) {
                breach(
                        "HOUSE_VERSION",
                        "techniques",
                        i,
                        "houseVersion",
                        id,
                        "the house version of " + technique.name() + " must be one of its versions");
            }
            for (String prerequisite : technique.prerequisites()) {
                if (!techniques.containsKey(prerequisite)) {
                    breach(
                            "PREREQUISITE_EXISTS",
                            "techniques",
                            i,
                            "prerequisites",
                            id,
                            technique.name() + " asks for " + names.technique(prerequisite) + " first");
                }
            }
            for (String fall : technique.receiverFalls()) {
                if (!techniques.containsKey(fall) || techniques.get(fall).family() != Family.BREAKFALL) {
                    breach(
                            "FALL_EXISTS",
                            "techniques",
                            i,
                            "receiverFalls",
                            id,
                            technique.name() + " needs " + names.technique(fall)
                                    + " as a fall, and that is no breakfall");
                }
            }
            for (String other : technique.carriesOverTo()) {
                if (!techniques.containsKey(other)) {
                    breach(
                            "CARRIES_OVER_EXISTS",
                            "techniques",
                            i,
                            "carriesOverTo",
                            id,
                            technique.name() + " carries over to " + names.technique(other));
                }
            }
            for (Fault fault : technique.faults()) {
                if (fault.opens() != null && !links.containsKey(fault.opens())) {
                    breach(
                            "FAULT_OPENS",
                            "techniques",
                            i,
                            "faults",
                            id,
                            "the fault \u201c" + fault.see() + "\u201d of " + technique.name() + " opens "
                                    + names.link(fault.opens()));
                }
            }
        }
    }

    private void linksStartAndEnd() {
        for (int i = 0; i < data.links().size(); i++) {
            Link link = data.links().get(i);
            position("LINK_STARTS", i, "links", "from", link.id(), link.from());
            if (!link.endsInTap()) {
                position("LINK_ENDS", i, "links", "to", link.id(), link.to());
            }
            position("LINK_PARTIAL", i, "links", "partial", link.id(), link.partial());
            position("LINK_STOPPED", i, "links", "ifStopped", link.id(), link.ifStopped());
            Technique technique = techniques.get(link.technique());
            if (technique == null) {
                breach(
                        "LINK_TECHNIQUE",
                        "links",
                        i,
                        "technique",
                        link.id(),
                        names.position(link.from()) + " still has a way out by a technique that does not exist");
            } else if (link.version() != null
                    && technique.versions().stream().noneMatch(v -> v.id().equals(link.version()))) {
                breach(
                        "LINK_VERSION",
                        "links",
                        i,
                        "version",
                        link.id(),
                        names.link(link.id()) + " names a version that the technique does not have");
            }
            if (technique != null && link.endsInTap() && technique.family() != Family.SUBMISSION) {
                breach(
                        "TAP_BY_SUBMISSION",
                        "links",
                        i,
                        "to",
                        link.id(),
                        names.link(link.id()) + " ends in a tap, which only a submission brings; " + technique.name()
                                + " is not one");
            }
            for (int j = 0; j < link.needs().size(); j++) {
                Need need = link.needs().get(j);
                if (need.madeBy() != null && !links.containsKey(need.madeBy())) {
                    breach(
                            "NEED_EXISTS",
                            "links",
                            i,
                            "needs/" + j + "/madeBy",
                            link.id(),
                            "a need of " + names.link(link.id()) + " is made by " + names.link(need.madeBy()));
                }
            }
            answerFits(i, link);
        }
    }

    private void answerFits(int i, Link link) {
        if (!link.answersReaction()) {
            return;
        }
        Reaction reaction = reactions.get(link.when());
        if (reaction == null) {
            breach(
                    "ANSWER_EXISTS",
                    "links",
                    i,
                    "when",
                    link.id(),
                    names.link(link.id()) + " answers " + names.reaction(link.when()));
        } else if (!reaction.leaves().equals(link.from())) {
            breach(
                    "ANSWER_STARTS",
                    "links",
                    i,
                    "from",
                    link.id(),
                    names.link(link.id()) + " answers a reaction that leaves at " + names.position(reaction.leaves())
                            + ", not there");
        }
    }

    private void reactionsAttachAndLeave() {
        for (int i = 0; i < data.reactions().size(); i++) {
            Reaction reaction = data.reactions().get(i);
            String id = reaction.id();
            position("REACTION_POSITION", i, "reactions", "position", id, reaction.position());
            position("REACTION_LEAVES", i, "reactions", "leaves", id, reaction.leaves());
            if (reaction.link() != null && !links.containsKey(reaction.link())) {
                breach(
                        "REACTION_LINK",
                        "reactions",
                        i,
                        "link",
                        id,
                        names.reaction(id) + " belongs to " + names.link(reaction.link()));
            }
            if (reaction.link() != null
                    && links.containsKey(reaction.link())
                    && id.equals(links.get(reaction.link()).when())) {
                breach(
                        "REACTION_CYCLE",
                        "reactions",
                        i,
                        "link",
                        id,
                        names.reaction(id) + " is answered by its own link");
            }
            if (reaction.attack() != null && !links.containsKey(reaction.attack())) {
                breach(
                        "REACTION_ATTACK",
                        "reactions",
                        i,
                        "attack",
                        id,
                        names.reaction(id) + " is the attack " + names.link(reaction.attack()));
            }
        }
    }

    private void rulesets() {
        Map<String, Ruleset> seen = byId("rulesets", data.rulesets(), Ruleset::id);
        for (int i = 0; i < data.rulesets().size(); i++) {
            Ruleset ruleset = data.rulesets().get(i);
            for (String entry : ruleset.entries()) {
                position("RULESET_ENTRY", i, "rulesets", "entries", ruleset.id(), entry);
            }
            for (Ruleset.HeldPin pin : ruleset.pins()) {
                position("RULESET_PIN", i, "rulesets", "pins", ruleset.id(), pin.position());
            }
            for (int n = 0; n < ruleset.points().size(); n++) {
                places(
                        "RULESET_POINTS",
                        i,
                        "points/" + n + "/at",
                        ruleset,
                        ruleset.points().get(n).at());
            }
            for (int n = 0; n < ruleset.reached().size(); n++) {
                Ruleset.Paid paid = ruleset.reached().get(n);
                places("RULESET_PAID", i, "reached/" + n + "/positions", ruleset, paid.positions());
                places("RULESET_PAID", i, "reached/" + n + "/onlyFrom", ruleset, paid.onlyFrom());
                places("RULESET_PAID", i, "reached/" + n + "/unlessFrom", ruleset, paid.unlessFrom());
            }
            if (ruleset.landings() != null) {
                places(
                        "RULESET_LANDING",
                        i,
                        "landings/back",
                        ruleset,
                        ruleset.landings().back());
                places(
                        "RULESET_LANDING",
                        i,
                        "landings/seat",
                        ruleset,
                        ruleset.landings().seat());
            }
            for (String technique : ruleset.illegalTechniques()) {
                if (!techniques.containsKey(technique)) {
                    breach(
                            "RULESET_TECHNIQUE",
                            "rulesets",
                            i,
                            "illegalTechniques",
                            ruleset.id(),
                            "the rules \u201c" + ruleset.name() + "\u201d forbid " + names.technique(technique));
                }
            }
        }
        for (Position position : positions.values()) {
            for (String ruleset : position.controlIn().keySet()) {
                if (!seen.containsKey(ruleset)) {
                    breaches.add(new Breach(
                            "CONTROL_RULESET",
                            "/map/pairs",
                            position.id(),
                            position.name() + " has a control under rules that do not exist"));
                }
            }
        }
    }

    private void places(String rule, int i, String field, Ruleset ruleset, List<String> places) {
        places.forEach(place -> position(rule, i, "rulesets", field, ruleset.id(), place));
    }

    private void prerequisitesFormNoCycle() {
        Prerequisites.circle(data.techniques(), techniques).ifPresent(circle -> {
            List<String> ids = data.techniques().stream().map(Technique::id).toList();
            breach(
                    "PREREQUISITE_CYCLE",
                    "techniques",
                    ids.indexOf(circle.from()),
                    "prerequisites",
                    circle.from(),
                    "prerequisites go round in a circle: "
                            + String.join(
                                    " needs ",
                                    circle.ids().stream().map(names::technique).toList()));
        });
    }

    private void position(String rule, int i, String part, String field, String id, String position) {
        if (position != null && !positions.containsKey(position)) {
            breach(rule, part, i, field, id, naming(part, id) + " names a position that does not exist");
        }
    }

    private String naming(String part, String id) {
        return switch (part) {
            case "links" ->
                links.containsKey(id) ? names.technique(links.get(id).technique()) : "a link";
            case "reactions" -> names.reaction(id);
            default -> "a set of rules";
        };
    }

    private void breach(String rule, String part, int i, String field, String id, String sentence) {
        breaches.add(new Breach(rule, "/map/" + part + "/" + i + "/" + field, id, sentence));
    }
}
