package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;

/** Somebody at the other end of HTTP, with cookies of their own. */
public final class HttpUser {

    /** Only what hangs takes longer, on however busy a machine. */
    private static final Duration HANGS = Duration.ofMinutes(5);

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).connectTimeout(HANGS).build();
    private final String base;
    private boolean sendsToken = true;

    public HttpUser(int port) {
        base = "http://127.0.0.1:" + port;
        get("/api/session/welcome");
    }

    /** What came back. */
    public record Answer(int status, String text, String tag, String edit, String headers) {
        public JsonNode json() {
            return Json.mapper().readTree(text);
        }

        /** The code of a problem. */
        public String code() {
            return json().path("code").asString();
        }

        public Answer expect(int wanted) {
            assertThat(status).as(text).isEqualTo(wanted);
            return this;
        }
    }

    public void signIn(String name, String password) {
        post("/api/session", Map.of("name", name, "password", password)).expect(200);
    }

    /** From now on writes lack the CSRF header. */
    public HttpUser withoutToken() {
        sendsToken = false;
        return this;
    }

    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    public Answer get(String path) {
        return send("GET", path, null, null);
    }

    public Answer post(String path, Object body) {
        return send("POST", path, body, null);
    }

    /** Takes an edit back, together with later ones that stand on it. */
    public Answer undo(String edit, String... with) {
        String together = with.length == 0 ? "" : "?with=" + String.join(",", with);
        return post("/api/edits/" + edit + "/undo" + together, Map.of());
    }

    public Answer put(String path, Object body, String tag) {
        return send("PUT", path, body, tag);
    }

    public Answer delete(String path) {
        return send("DELETE", path, null, null);
    }

    public Answer delete(String path, String tag) {
        return send("DELETE", path, null, tag);
    }

    /** Sends a body as it is if it is text, else as JSON. */
    public Answer send(String method, String path, Object body, String tag) {
        String text = body == null ? "" : body instanceof String plain ? plain : Json.write(body);
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .timeout(HANGS)
                .method(method, HttpRequest.BodyPublishers.ofString(text));
        if (body != null) {
            request.header("Content-Type", "application/json");
        }
        if (sendsToken && !method.equals("GET")) {
            request.header("X-XSRF-TOKEN", cookie("XSRF-TOKEN"));
        }
        if (tag != null) {
            request.header("If-Match", tag);
        }
        try {
            HttpResponse<String> answer = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
            ProblemContract.holds(method, path, answer.statusCode(), answer.body());
            return new Answer(
                    answer.statusCode(),
                    answer.body(),
                    answer.headers().firstValue("ETag").orElse(null),
                    answer.headers().firstValue("Lynchet-Edit").orElse(null),
                    answer.headers().map().toString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
