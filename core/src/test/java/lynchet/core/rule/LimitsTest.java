package lynchet.core.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lynchet.core.card.Alias;
import lynchet.core.chain.Chain;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LimitsTest {

    private record Inner(@Most(5) String word, LocalDate day, Instant at) {}

    private record Outer(
            String id, @Most(2) List<Inner> inners, List<@Most(3) String> tags, Map<String, String> pairs) {}

    private static Outer outer(String id, List<Inner> inners, List<String> tags) {
        return new Outer(id, inners, tags, Map.of("a", "b"));
    }

    private static String letters(int n) {
        return "x".repeat(n);
    }

    @Test
    void whatFitsExactlyIsKept() {
        Inner full = new Inner(letters(5), LocalDate.of(1900, 1, 1), Instant.parse("2199-12-31T23:59:59Z"));
        Outer outer = outer(letters(80), List.of(full, full), Collections.nCopies(60, "tag"));
        assertThat(Limits.of(outer)).isEmpty();
        assertThat(Limits.kept(outer)).isSameAs(outer);
        assertThat(Limits.of(null)).isEmpty();
    }

    @Test
    void oneMoreIsNamedWithItsRuleAndPlace() {
        Inner bad = new Inner(letters(6), LocalDate.of(1899, 12, 31), Instant.parse("2200-01-01T00:00:00Z"));
        Inner fine = new Inner(null, null, null);
        Outer outer = outer(letters(81), List.of(fine, bad, fine), Collections.nCopies(61, "tags"));
        assertThat(Limits.of(outer))
                .extracting(Breach::rule, Breach::where)
                .contains(
                        tuple("TEXT_LONG", "/id"),
                        tuple("TOO_MANY", "/inners"),
                        tuple("TEXT_LONG", "/inners/1/word"),
                        tuple("OUT_OF_RANGE", "/inners/1/day"),
                        tuple("OUT_OF_RANGE", "/inners/1/at"),
                        tuple("TOO_MANY", "/tags"),
                        tuple("TEXT_LONG", "/tags/0"));
        assertThatThrownBy(() -> Limits.kept(outer("x", null, List.of(letters(4)))))
                .isInstanceOfSatisfying(Nonsense.class, nonsense -> {
                    assertThat(nonsense.rule()).isEqualTo(Nonsense.Rule.TEXT_LONG);
                    assertThat(nonsense.where()).isEqualTo("/tags/0");
                })
                .hasMessage("0 has 4 characters and at most 3 fit");
        assertThat(Limits.of(new Outer("x", null, null, Map.of(letters(81), letters(81)))))
                .hasSize(2);
    }

    /** What is over a limit can still be read from the disk: a value does not refuse itself for its size. */
    @Test
    void aValueIsNotRefusedForItsSize() {
        Chain chain = new Chain("c", letters(300), letters(100_001), null, "guard", null, false);
        assertThat(chain.intent()).hasSize(100_001);
        assertThat(new Alias(letters(500), letters(500)).text()).hasSize(500);
        assertThat(Limits.of(chain)).extracting(Breach::where).containsExactly("/name", "/intent");
    }

    static Stream<Class<?>> types() {
        return Parts.ALL.stream().map(Part::type);
    }

    /** Every text and list of everything a club is made of has a limit that a schema can say. */
    @ParameterizedTest
    @MethodSource("types")
    void everyTextAndListHasALimit(Class<?> type) {
        assertThat(Stream.of(type.getRecordComponents())
                        .filter(c -> c.getType() == String.class || c.getType() == List.class)
                        .map(c -> Limits.most(c.getAnnotatedType())))
                .allMatch(most -> most.isPresent() && most.get() >= 12 && most.get() <= 2000);
    }
}
