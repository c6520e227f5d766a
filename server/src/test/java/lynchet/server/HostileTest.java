package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import lynchet.server.HostileInputs.Input;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Hostile inputs over every operation: nothing breaks, what is refused changes nothing, and what was taken is given out, taken in
 * and given out the same. {@code ./lynchet bench trust} sends ten times as many.
 */
@Execution(ExecutionMode.CONCURRENT)
class HostileTest {

    private static final int ALL = Integer.getInteger("hostile", 500);
    private static final int A_BATCH = 50;

    /** What ends the session, works on after its answer or answers after a minute, and what is tried elsewhere. */
    private static final String LEFT_OUT = "/api/(session|accounts|imports|copies|page-errors|plans/jobs).*";

    @Test
    void nothingBreaksAndWhatIsRefusedChangesNothing() {
        try (ConfigurableApplicationContext club = RunningClub.another();
                ConfigurableApplicationContext other = RunningClub.another()) {
            HttpUser head = RunningClub.head(club);
            HostileInputs hostile = new HostileInputs(20_261_201, EveryRead.document(), archive(head), LEFT_OUT);
            List<String> broken = new ArrayList<>();
            int taken = 0;
            for (int sent = 0; sent < ALL; sent += A_BATCH) {
                List<Input> refused = new ArrayList<>();
                for (int n = 0; n < A_BATCH; n++) {
                    Input input = hostile.next();
                    HttpUser.Answer answer;
                    try {
                        answer = head.send(input.method(), input.path(), input.body(), input.tag());
                    } catch (AssertionError misspoken) {
                        broken.add(input + " " + misspoken.getMessage());
                        continue;
                    }
                    taken += answer.status() < 400 && !input.method().equals("GET") ? 1 : 0;
                    if (answer.status() >= 500) {
                        broken.add(input + " answers " + answer.text());
                    } else if (answer.status() >= 400 && !input.method().equals("GET")) {
                        refused.add(input);
                    }
                }
                String before = archive(head);
                refused.forEach(input -> head.send(input.method(), input.path(), input.body(), input.tag()));
                if (!archive(head).equals(before)) {
                    broken.add("the club changed though all of these were refused: " + refused);
                }
            }
            assertThat(broken.stream()
                            .map(one -> one.replaceAll("(?s)^(.{0,300}).*?(.{0,500})$", "$1 … $2"))
                            .toList())
                    .isEmpty();
            assertThat(taken).as("some are taken").isPositive();
            String out = archive(head);
            HttpUser there = RunningClub.head(other);
            there.post("/api/archive?mode=replace", out).expect(200);
            assertThat(archive(there).equals(out)).as("out, in and out again").isTrue();
        }
    }

    private static String archive(HttpUser head) {
        return head.get("/api/archive").expect(200).text();
    }
}
