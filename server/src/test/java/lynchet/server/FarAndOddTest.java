package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Days far off and addresses that cannot be read, on everything that is read: refused, and nothing breaks. */
@ExtendWith(RunningClub.class)
class FarAndOddTest {

    private final HttpUser head = RunningClub.as("head");

    private record Request(String path, String day, String others) {
        String with(String value) {
            return path + "?" + day + "=" + value + others;
        }
    }

    /** Each day that a read asks for, the other days it asks for being of this year. */
    static Stream<Request> days() {
        return EveryRead.addresses("orla-fenwick").entrySet().stream().flatMap(read -> {
            JsonNode asks = EveryRead.document()
                    .path("paths")
                    .path(read.getValue())
                    .path("get")
                    .path("parameters");
            List<String> days = StreamSupport.stream(asks.spliterator(), false)
                    .filter(one -> one.path("in").asString().equals("query"))
                    .filter(one -> one.at("/schema/format").asString("").equals("date"))
                    .map(one -> one.path("name").asString())
                    .toList();
            String path = read.getKey().replaceAll("\\?.*", "");
            return days.stream()
                    .map(day -> new Request(
                            path,
                            day,
                            days.stream()
                                    .filter(other -> !other.equals(day))
                                    .map(other -> "&" + other + "=2026-11-24")
                                    .reduce("", String::concat)));
        });
    }

    @ParameterizedTest
    @MethodSource("days")
    void aDayFarOffIsRefused(Request asked) {
        for (String far : List.of("%2B999999999-12-31", "-999999999-01-01", "1899-12-31", "2200-01-01", "never")) {
            HttpUser.Answer answer = head.get(asked.with(far));
            assertThat(answer.status())
                    .as(asked.with(far) + " " + answer.text())
                    .isEqualTo(400);
            assertThat(answer.code()).isEqualTo("NOT_READABLE");
        }
    }

    @Test
    void thereAreSuchDays() {
        assertThat(days()).hasSizeGreaterThan(8);
    }

    /** As text on the line, since no client sends it. */
    private static String asked(String address) throws IOException {
        int port = RunningClub.port();
        try (Socket line = new Socket("127.0.0.1", port)) {
            line.getOutputStream()
                    .write(("GET " + address + " HTTP/1.1\r\nHost: 127.0.0.1:" + port + "\r\nConnection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            return new String(line.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"%zz", "%", "%f", "%ff", "%ed%a0%80", "a%C3"})
    void whatCannotBeReadBehindTheQuestionMarkIsRefused(String odd) throws IOException {
        for (String path : List.of("/api/people", "/api/session/welcome", "/actuator/health", "/people")) {
            assertThat(asked(path + "?any=" + odd))
                    .as(path)
                    .startsWith("HTTP/1.1 400")
                    .contains("\"code\":\"NOT_READABLE\"");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"a", "%41", "%C3%A9", "", "%25zz"})
    void whatCanBeReadIsRead(String plain) throws IOException {
        assertThat(asked("/actuator/health?any=" + plain)).startsWith("HTTP/1.1 200");
    }

    @Test
    void namesAndCardsAreKeptWithoutBlanksAtTheirEnds() {
        String two = "{\"id\":\"x\",\"name\":\" trailing one \\t\",\"card\":\"%s\",\"joined\":\"2026-01-01\"}";
        JsonNode first = head.post("/api/people", two.formatted("")).expect(200).json();
        JsonNode second =
                head.post("/api/people", two.formatted(" ")).expect(200).json();
        assertThat(first.path("name").asString()).isEqualTo("trailing one");
        assertThat(second.path("card").isNull()).isTrue();
        for (JsonNode one : List.of(first, second)) {
            head.post(
                            "/api/people/" + one.path("id").asString() + "/erase",
                            "{\"name\":\"trailing one \",\"fromText\":false}")
                    .expect(200);
        }
    }
}
