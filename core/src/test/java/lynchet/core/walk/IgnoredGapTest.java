package lynchet.core.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.Test;

class IgnoredGapTest {

    private static Finding finding(Finding.Code code, String position) {
        return new Finding(code, 2, position, null, null, "a sentence", null);
    }

    @Test
    void coversTheSameFindingThroughTheSameEyesOnly() {
        IgnoredGap gap = new IgnoredGap(
                "g", "white", null, Finding.Code.NO_FINISH, "mount", null, null, "later", Instant.EPOCH, "head");
        assertThat(gap.covers(finding(Finding.Code.NO_FINISH, "mount"), "white", null))
                .isTrue();
        assertThat(gap.covers(finding(Finding.Code.NO_FINISH, "mount"), "yellow", null))
                .isFalse();
        assertThat(gap.covers(finding(Finding.Code.NO_FINISH, "mount"), null, "ana"))
                .isFalse();
        assertThat(gap.covers(finding(Finding.Code.NO_FINISH, "guard"), "white", null))
                .isFalse();
        assertThat(gap.covers(finding(Finding.Code.ONE_ANSWER, "mount"), "white", null))
                .isFalse();
    }
}
