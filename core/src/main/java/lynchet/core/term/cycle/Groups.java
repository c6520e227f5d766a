package lynchet.core.term.cycle;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.term.Teaching;

/** Subjects that build on each other, together. */
final class Groups {

    private Groups() {}

    /**
     * The groups, in the order of the first of each; in a group what is built on comes first. Falls and
     * movements hold nothing together: classes begin with them.
     */
    static List<List<String>> of(List<String> subjects, Teaching teaching) {
        Map<String, Set<String>> needs = new LinkedHashMap<>();
        subjects.forEach(one -> needs.put(
                one, needs(one, teaching).stream().filter(subjects::contains).collect(Collectors.toSet())));
        List<List<String>> groups = new ArrayList<>();
        List<String> rest = new ArrayList<>(subjects);
        while (!rest.isEmpty()) {
            List<String> group = new ArrayList<>(List.of(rest.remove(0)));
            for (int n = 0; n < group.size(); n++) {
                String one = group.get(n);
                List<String> tied = rest.stream()
                        .filter(other -> needs.get(one).contains(other)
                                || needs.get(other).contains(one))
                        .toList();
                group.addAll(tied);
                rest.removeAll(tied);
            }
            group.sort((one, other) -> subjects.indexOf(one) - subjects.indexOf(other));
            groups.add(inOrder(group, needs));
        }
        return groups;
    }

    /** What a subject builds on, without falls and movements. */
    static Set<String> needs(String subject, Teaching teaching) {
        return teaching.needs(teaching.goal(subject)).stream()
                .filter(id -> teaching.map()
                        .technique(id)
                        .filter(technique -> technique.family().isSolo())
                        .isEmpty())
                .collect(Collectors.toSet());
    }

    /** In the order given, but after what it builds on. */
    private static List<String> inOrder(List<String> group, Map<String, Set<String>> needs) {
        List<String> order = new ArrayList<>();
        List<String> rest = new ArrayList<>(group);
        while (!rest.isEmpty()) {
            String next = rest.stream()
                    .filter(one ->
                            rest.stream().noneMatch(other -> needs.get(one).contains(other)))
                    .findFirst()
                    .orElse(rest.get(0)); // they go in a circle, which the map's own check says
            order.add(next);
            rest.remove(next);
        }
        return order;
    }
}
