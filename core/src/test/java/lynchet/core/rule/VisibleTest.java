package lynchet.core.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class VisibleTest {

    private record Note(String name, @Most(300) String words) {}

    @ParameterizedTest
    @ValueSource(
            strings = {"", "  ", "\t", "\u200b", "\u3164", "\u2060\ufeff", "\u00a0", "\u2028", "\u0000", "\u2800 \uffa0"
            })
    void whatCannotBeSeenIsNoName(String text) {
        assertThat(Visible.isBlank(text)).isTrue();
        if (text.isBlank()) {
            assertThatThrownBy(() -> Require.text("a name", text)).hasMessage("a name must not be empty");
        } else {
            assertThat(Limits.of(new Note(text, "x"))).extracting(Breach::rule).containsExactly("TEXT_EMPTY");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"Zoë", "Ólafur", "나은", "حسن", "O\u2019Brien", "J\u200dK", "\ud83d\ude42", "Anne-Marie", "\u202fx"
            })
    void namesOfPeopleCanBe(String name) {
        assertThat(Limits.of(new Note(Require.text("a name", name), name))).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "NUL\u0000x",
                "a\u0001",
                "a\u007f",
                "a\u0085",
                "a\u202eb",
                "a\u2066b",
                "a\ufffe",
                "a\uffff",
                "a\u2028b",
                "a\ud800"
            })
    void whatNoSheetCanBearIsRefusedWhereItIs(String text) {
        assertThat(Limits.of(new Note("x", text)))
                .extracting(Breach::rule, Breach::where)
                .containsExactly(org.assertj.core.groups.Tuple.tuple("TEXT_HIDDEN", "/words"));
    }

    @Test
    void onlyALongTextHasLines() {
        assertThat(Limits.of(new Note("x", "one\r\ntwo\tthree"))).isEmpty();
        assertThat(Limits.of(new Note("one\ntwo", "x")))
                .extracting(Breach::where)
                .containsExactly("/name");
    }
}
