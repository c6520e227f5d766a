package lynchet.server.door;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Lynchet answers under its own names only. */
@ExtendWith(RunningClub.class)
class HostCheckTest {

    @ParameterizedTest
    @CsvSource({
        "127.0.0.1, 200",
        "LOCALHOST, 200",
        "localhost:8080, 200",
        "[::1]:8080, 200",
        "rebound.example, 421",
        "127.0.0.1.rebound.example, 421",
        "localhost.rebound.example:80, 421"
    })
    void aNameThatSomebodyElsePointsHereIsRefused(String host, int status) throws IOException {
        int port = URI.create(RunningClub.address()).getPort();
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.getOutputStream()
                    .write(("GET /api/session/welcome HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer).startsWith("HTTP/1.1 " + status);
            if (status == 421) {
                assertThat(answer).contains("\"code\":\"HOST\"").doesNotContain("Set-Cookie");
            }
        }
    }

    @Test
    void withoutAnAuthorityOfItsOwnThereIsNoneToHandOut() {
        assertThat(RunningClub.stranger().get("/authority.crt").status()).isEqualTo(404);
    }
}
