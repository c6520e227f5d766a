package lynchet.starter;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Fault;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainCheck;
import lynchet.core.chain.ChainFinding;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.MapData;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.rank.SyllabusCheck;
import lynchet.core.round.RoundEvidence;
import lynchet.core.rule.Breach;
import lynchet.core.walk.Centrality;
import lynchet.core.walk.Finding;
import lynchet.core.walk.MoveGraph;
import lynchet.starter.demo.DemoClub;
import org.junit.jupiter.api.Test;

/** Whatever is refused or found is said with the names that coaches use, never with an id. */
class NoIdInASentenceTest {

    private static final Club DEMO = DemoClub.on(LocalDate.of(2026, 11, 24));
    private static final Pattern SLUG = Pattern.compile("[a-z0-9]+(?:-[a-z0-9]+)+");

    /** Ids that are no words of a card as well, such as cross-face. */
    private static Set<String> ids() {
        Set<String> ids = new HashSet<>();
        Parts.ALL.forEach(part -> ids(part, ids));
        String words = Stream.of(
                        DEMO.map().reactions().stream().map(Reaction::text),
                        DEMO.map().techniques().stream().map(Technique::name),
                        DEMO.map().techniques().stream().flatMap(technique -> technique.faults().stream()
                                .map(Fault::see)))
                .flatMap(texts -> texts)
                .collect(Collectors.joining("; "))
                .toLowerCase(Locale.ROOT);
        ids.removeIf(id -> !id.contains("-") || words.contains(id));
        assertThat(ids).hasSizeGreaterThan(1000);
        return ids;
    }

    private static <T> void ids(Part<T> part, Set<String> ids) {
        DEMO.all(part).forEach(thing -> {
            ids.add(part.idOf(thing));
            part.offers().accept(thing, (target, id) -> ids.add(id.substring(id.lastIndexOf('/') + 1)));
        });
    }

    private static List<String> named(String sentence, Set<String> ids) {
        return SLUG.matcher(sentence)
                .results()
                .map(MatchResult::group)
                .filter(ids::contains)
                .toList();
    }

    /** A club without some of what it points at, chosen at random. */
    private static Club broken(Random random) {
        List<Part<?>> parts = new ArrayList<>(Parts.ALL);
        parts.removeIf(part -> DEMO.all(part).isEmpty());
        return without(parts.get(random.nextInt(parts.size())), random);
    }

    private static <T> Club without(Part<T> part, Random random) {
        double share = random.nextDouble(0.05, 0.6);
        return DEMO.changing(
                part,
                all -> all.stream().filter(one -> random.nextDouble() > share).toList());
    }

    @Test
    void whatIsRefusedIsSaidInNames() {
        Set<String> ids = ids();
        Random random = new Random(34);
        Set<String> rules = new HashSet<>();
        for (int n = 0; n < 150; n++) {
            for (Breach breach : ClubCheck.check(broken(random))) {
                rules.add(breach.rule());
                assertThat(named(breach.sentence(), ids))
                        .as("%s: %s", breach.rule(), breach.sentence())
                        .isEmpty();
            }
        }
        assertThat(rules).as("rules that were broken").hasSizeGreaterThan(25);
    }

    @Test
    void whatIsFoundInChainsIsSaidInNames() {
        Set<String> ids = ids();
        MapData whole = DEMO.map();
        GrapplingMap map = GrapplingMap.of(whole);
        List<Ruleset> rules = new ArrayList<>(whole.rulesets());
        rules.add(null);
        List<String> found = new ArrayList<>();
        for (Chain chain : DEMO.chains()) {
            for (Ruleset ruleset : rules) {
                ChainCheck.check(map, chain, ruleset, RoundEvidence.withoutRounds(map), DEMO.chains())
                        .findings()
                        .stream()
                        .map(ChainFinding::sentence)
                        .forEach(found::add);
            }
        }
        assertThat(found).isNotEmpty().allSatisfy(sentence -> assertThat(named(sentence, ids))
                .as(sentence)
                .isEmpty());
    }

    @Test
    void whatIsFoundInRanksIsSaidInNames() {
        Set<String> ids = ids();
        GrapplingMap map = GrapplingMap.of(DEMO.map());

        List<Finding> found = DEMO.ladders().stream()
                .flatMap(ladder -> new SyllabusCheck(
                                MoveGraph.under(
                                        map, map.ruleset(ladder.ruleset()).orElseThrow()),
                                Centrality.of(map),
                                DEMO.chains())
                        .of(ladder).stream())
                .flatMap(List::stream)
                .toList();
        assertThat(found).isNotEmpty().allSatisfy(finding -> assertThat(named(finding.sentence(), ids))
                .as(finding.sentence())
                .isEmpty());
    }
}
