package lynchet.server.edit;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import lynchet.core.club.Club;
import lynchet.core.club.Target;
import lynchet.core.map.Link;
import lynchet.server.club.RecordSelection;
import lynchet.server.keep.Journal;
import lynchet.server.keep.PartStore;

/** Which records an edit touches. */
final class Touching {

    private Touching() {}

    /** The records that the lines of an edit name. */
    static RecordSelection lines(List<Journal.Line> lines) {
        Map<String, Set<String>> byKind = lines.stream()
                .collect(Collectors.groupingBy(
                        Journal.Line::kind, Collectors.mapping(Journal.Line::target, Collectors.toSet())));
        return new RecordSelection() {
            @Override
            public <T> List<T> of(PartStore<T> store) {
                return List.copyOf(store.find(byKind.getOrDefault(store.part().one(), Set.of()))
                        .values());
            }
        };
    }

    /** The records about a technique or through one of its links. */
    static RecordSelection technique(Club taught, String technique) {
        Set<String> links = taught.map().links().stream()
                .filter(link -> link.technique().equals(technique))
                .map(Link::id)
                .collect(Collectors.toCollection(TreeSet::new));
        return new RecordSelection() {
            @Override
            public <T> List<T> of(PartStore<T> store) {
                Map<String, T> all = new java.util.TreeMap<>();
                about(store, Target.TECHNIQUE, Set.of(technique), all);
                about(store, Target.SUBJECT, Set.of(technique), all);
                about(store, Target.LINK, links, all);
                return List.copyOf(all.values());
            }
        };
    }

    private static <T> void about(PartStore<T> store, Target target, Set<String> ids, Map<String, T> all) {
        if (!ids.isEmpty()) {
            store.pointingAt(target, ids, Integer.MAX_VALUE)
                    .forEach(thing -> all.put(store.part().idOf(thing), thing));
        }
    }
}
