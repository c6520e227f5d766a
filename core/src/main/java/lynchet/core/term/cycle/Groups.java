package lynchet.core.term.cycle;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.term.Teaching;
import lynchet.core.term.cycle.ThemeCycle.Subject;

/** Subjects that build on each other, together. */
final class Groups {

    private Groups() {}

    /**
     * The groups, in the order of the first of each; in a group what is built on comes first. Falls hold nothing together:
     * every class in which somebody is thrown begins with them.
     */
    static List<List<Subject>> of(List<Subject> subjects, Teaching teaching) {
        Map<String, Subject> byId = new LinkedHashMap<>();
        subjects.forEach(one -> byId.put(one.id(), one));
        Map<String, Set<String>> needs = new LinkedHashMap<>();
        subjects.forEach(one -> needs.put(
                one.id(),
                needs(one, teaching).stream().filter(byId::containsKey).collect(Collectors.toSet())));
        List<List<Subject>> groups = new ArrayList<>();
        List<Subject> rest = new ArrayList<>(subjects);
        while (!rest.isEmpty()) {
            List<Subject> group = new ArrayList<>(List.of(rest.remove(0)));
            for (int n = 0; n < group.size(); n++) {
                Subject one = group.get(n);
                List<Subject> tied = rest.stream()
                        .filter(other -> needs.get(one.id()).contains(other.id())
                                || needs.get(other.id()).contains(one.id()))
                        .toList();
                group.addAll(tied);
                rest.removeAll(tied);
            }
            group.sort((one, other) -> subjects.indexOf(one) - subjects.indexOf(other));
            groups.add(inOrder(group, needs));
        }
        return groups;
    }

    /** What a subject builds on, without falls. */
    static Set<String> needs(Subject subject, Teaching teaching) {
        return teaching.needs(subject.goal()).stream()
                .filter(id -> teaching.map()
                        .technique(id)
                        .map(Technique::family)
                        .filter(family -> family == Family.BREAKFALL)
                        .isEmpty())
                .collect(Collectors.toSet());
    }

    /** In the order given, but after what it builds on. */
    private static List<Subject> inOrder(List<Subject> group, Map<String, Set<String>> needs) {
        List<Subject> order = new ArrayList<>();
        List<Subject> rest = new ArrayList<>(group);
        while (!rest.isEmpty()) {
            Subject next = rest.stream()
                    .filter(one ->
                            rest.stream().noneMatch(other -> needs.get(one.id()).contains(other.id())))
                    .findFirst()
                    .orElse(rest.get(0)); // they go in a circle, which the map's own check says
            order.add(next);
            rest.remove(next);
        }
        return order;
    }
}
