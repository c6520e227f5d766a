package lynchet.core.walk;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Stage;

/** What fits when a link is added to the map, the likeliest first. It suggests; {@link WellFormed} decides. */
public final class Suggestions {

    /** How far in control from its other starts a technique is still suggested. */
    private static final double NEAR = 1.0;

    private Suggestions() {}

    /** Techniques that may start at a position: those that start at its stage near its control, then their family's. */
    public static List<String> techniques(GrapplingMap map, String position) {
        Position at = map.position(position).orElseThrow();
        Map<String, Double> nearest = nearestStarts(map, position);
        Set<String> here = new TreeSet<>();
        map.linksFrom(position).forEach(link -> here.add(link.technique()));
        return map.techniques().stream()
                .filter(t -> !t.retired() && !t.family().isSolo() && t.jacket().fits(at.jacket()))
                .filter(t -> nearest.getOrDefault(t.id(), 9.0) <= NEAR
                        || !nearest.containsKey(t.id()) && belongs(t.family(), map.stageOf(position), at.control()))
                .sorted(Comparator.<Technique, Boolean>comparing(t -> here.contains(t.id()))
                        .thenComparing(t -> nearest.getOrDefault(t.id(), 9.0))
                        .thenComparing(Technique::name))
                .map(Technique::id)
                .toList();
    }

    /** Ends of a link with this technique from a position: where it leads elsewhere, else where its family leads. */
    public static List<String> targets(GrapplingMap map, String position, String technique) {
        Technique done = map.technique(technique).orElseThrow();
        Map<String, Integer> leads = new HashMap<>();
        for (Link link : map.links()) {
            if (!link.retired()
                    && link.technique().equals(technique)
                    && !link.to().equals(position)) {
                leads.merge(link.to(), 1, Integer::sum);
            }
        }
        if (leads.isEmpty() && done.family() == Family.SUBMISSION) {
            return List.of(Link.TAP);
        }
        if (leads.isEmpty()) {
            Position at = map.position(position).orElseThrow();
            map.positions().stream()
                    .filter(p -> !p.retired() && p.jacket().fits(done.jacket()))
                    .filter(p -> p.control() > at.control()
                            && map.stageOf(p.id()).compareTo(map.stageOf(position)) >= 0
                            && p.control() - at.control() <= 2)
                    .forEach(p -> leads.put(p.id(), 0));
        }
        return leads.keySet().stream()
                .sorted(Comparator.<String, Integer>comparing(leads::get)
                        .reversed()
                        .thenComparing(Comparator.naturalOrder()))
                .toList();
    }

    /** For each technique the least difference in control between the position and a start at the same stage. */
    private static Map<String, Double> nearestStarts(GrapplingMap map, String position) {
        double control = map.position(position).orElseThrow().control();
        Map<String, Double> nearest = new HashMap<>();
        for (Link link : map.links()) {
            if (!link.retired()) {
                boolean sameStage = map.stageOf(link.from()) == map.stageOf(position);
                double away = Math.abs(map.position(link.from()).orElseThrow().control() - control);
                nearest.merge(link.technique(), sameStage ? away : 9.0, Math::min);
            }
        }
        return nearest;
    }

    private static boolean belongs(Family family, Stage stage, double control) {
        return switch (family) {
            case BREAKFALL, MOVEMENT -> false;
            case GRIP -> stage != Stage.FINISH;
            case THROW, TAKEDOWN -> stage == Stage.APART || stage == Stage.GRIPPED;
            case TURNOVER -> stage == Stage.HALF_DOWN && control > 0;
            case PASS -> stage == Stage.LEGS_BETWEEN && control > -1.5;
            case SWEEP -> stage == Stage.LEGS_BETWEEN && control < 1.5;
            case ESCAPE -> control < 0;
            case PIN, TRANSITION -> control > 0;
            case SUBMISSION -> stage != Stage.APART;
        };
    }
}
