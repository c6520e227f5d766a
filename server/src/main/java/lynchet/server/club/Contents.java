package lynchet.server.club;

import java.util.List;
import java.util.Map;
import lynchet.core.club.ClubMerge;
import lynchet.core.rule.Breach;
import org.jspecify.annotations.Nullable;

/**
 * What a club's file holds.
 *
 * @param name the name it says; may be null
 * @param things how many things of each part, by the part's name
 * @param merge what merging it would do, part by part; empty when it would not be merged
 * @param conflicts why it cannot be merged, at most fifty
 */
public record Contents(
        @Nullable String name, Map<String, Integer> things, List<ClubMerge.Count> merge, List<Breach> conflicts) {}
