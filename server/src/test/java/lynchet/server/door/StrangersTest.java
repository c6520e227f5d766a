package lynchet.server.door;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Strangers who say that something is coming and send none of it. */
@ExtendWith(RunningClub.class)
class StrangersTest {

    private static final int PORT = Integer.parseInt(RunningClub.address().replaceFirst(".*:", ""));

    private static Socket begin(String path, int length) throws IOException {
        Socket socket = new Socket("127.0.0.1", PORT);
        socket.setSoTimeout(300_000);
        String head = "POST " + path + " HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n"
                + "Cookie: XSRF-TOKEN=abc\r\nX-XSRF-TOKEN: abc\r\nContent-Length: " + length + "\r\n\r\n{";
        socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private static String rest(Socket socket) throws IOException {
        InputStream in = socket.getInputStream();
        return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }

    /** Each would hold a thread; a few may, the others are told, and those who are signed in read meanwhile. */
    @Test
    void aFewOfAnAddressMayWaitAndTheOthersAreSentAway() throws IOException {
        HttpUser head = RunningClub.as("head");
        List<Socket> slow = new ArrayList<>();
        try {
            for (int n = 0; n < 40; n++) {
                slow.add(begin("/api/session", 8000));
            }
            head.get("/api/people/names").expect(200);
            int told = 0;
            for (Socket one : slow) {
                String answer = rest(one);
                told += answer.contains("TOO_MANY_WAIT") ? 1 : 0;
                assertThat(answer).startsWith("HTTP/1.1 4");
            }
            assertThat(told).isBetween(30, 36);
        } finally {
            for (Socket one : slow) {
                one.close();
            }
        }
    }

    /** What a stranger announces is not waited for once they were told to sign in. */
    @Test
    void theConnectionOfAStrangerIsClosedWithTheAnswer() throws IOException {
        try (Socket slow = begin("/api/people", 1_000_000)) {
            assertThat(rest(slow)).startsWith("HTTP/1.1 401").contains("SIGN_IN");
        }
    }

    @Test
    void theDoorsThatAreNotForStrangersAreClosed() throws IOException {
        HttpUser stranger = RunningClub.stranger();
        for (String path : List.of("/actuator", "/actuator/health/liveness", "/actuator/env", "/v3/api-docs.yaml")) {
            assertThat(stranger.get(path).status()).as(path).isIn(401, 403, 404);
        }
        assertThat(stranger.get("/actuator/health").expect(200).text()).contains("UP");
        HttpUser.Answer error = stranger.get("/error");
        assertThat(error.expect(404).code()).isEqualTo("NOT_FOUND");
        try (Socket first = new Socket("127.0.0.1", PORT)) {
            String asked = "GET /api/session/welcome HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n";
            first.getOutputStream().write(asked.getBytes(StandardCharsets.US_ASCII));
            assertThat(rest(first)).containsPattern("Set-Cookie: XSRF-TOKEN=[^;]+;[^\r]*SameSite=Strict");
        }
    }

    /** Asking for the headers alone is reading. */
    @Test
    void whoeverMayReadMayAskForTheHeadersAlone() {
        HttpUser coach = RunningClub.as("coach");
        for (String path : List.of("/api/people", "/api/incidents?from=2026-11-01&to=2026-11-24", "/api/map")) {
            assertThat(coach.send("HEAD", path, null, null).status()).as(path).isEqualTo(200);
        }
        assertThat(coach.send("HEAD", "/api/archive", null, null).status()).isEqualTo(403);
        assertThat(RunningClub.as("viewer")
                        .send("HEAD", "/api/asks?track=juniors", null, null)
                        .status())
                .isEqualTo(403);
    }
}
