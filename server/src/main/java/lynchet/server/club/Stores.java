package lynchet.server.club;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.server.keep.PartStore;
import lynchet.server.keep.TaughtStore;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** The store of every part. */
@Component
public class Stores {

    private final Map<Part<?>, PartStore<?>> byPart = new HashMap<>();

    Stores(List<PartStore<?>> records, JdbcTemplate jdbc) {
        Parts.taught().forEach(part -> byPart.put(part, new TaughtStore<>(jdbc, part)));
        records.forEach(store -> byPart.put(store.part(), store));
        Parts.ALL.stream().filter(part -> !byPart.containsKey(part)).findFirst().ifPresent(part -> {
            throw new IllegalStateException("nobody keeps the " + part.name());
        });
    }

    @SuppressWarnings("unchecked")
    public <T> PartStore<T> of(Part<T> part) {
        return (PartStore<T>) byPart.get(part);
    }

    /** Whether some record offers such a thing. */
    boolean offer(Target target, String id) {
        return records().anyMatch(store -> store.has(target, id));
    }

    Stream<PartStore<?>> records() {
        return Parts.records().map(this::of);
    }
}
