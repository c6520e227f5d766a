package lynchet.bench.trust;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;

/** Somebody at the other end of HTTP who wants to know the status, whatever it is; 0 where there was no answer. */
final class Caller {

    /** What came back. */
    record Answer(int status, String text) {
        JsonNode json() {
            return Json.mapper().readTree(text);
        }
    }

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client;
    private final String base;

    Caller(String base) {
        this.base = base;
        this.client = HttpClient.newBuilder().cookieHandler(cookies).build();
    }

    /** Waits until the server answers, and signs in. */
    static Caller in(String base, String name, String password) throws InterruptedException {
        Caller caller = new Caller(base);
        long until = System.nanoTime() + TimeUnit.MINUTES.toNanos(5);
        while (caller.get("/api/session/welcome").status() != 200) {
            if (System.nanoTime() > until) {
                throw new IllegalStateException("the server at " + base + " does not answer");
            }
            Thread.sleep(20);
        }
        Answer entered = caller.post("/api/session", Map.of("name", name, "password", password));
        if (entered.status() != 200) {
            throw new IllegalStateException(name + " does not come in: " + entered.text());
        }
        return caller;
    }

    Answer get(String path) {
        return send("GET", path, null, null);
    }

    Answer post(String path, Object body) {
        return send("POST", path, body instanceof String text ? text : Json.write(body), null);
    }

    Answer send(String method, String path, String body, String tag) {
        HttpRequest.Builder asked = HttpRequest.newBuilder(URI.create(base + path))
                .timeout(Duration.ofMinutes(5))
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .forEach(token -> asked.header("X-XSRF-TOKEN", token));
        if (tag != null) {
            asked.header("If-Match", tag);
        }
        try {
            HttpResponse<String> answer = client.send(asked.build(), HttpResponse.BodyHandlers.ofString());
            return new Answer(answer.statusCode(), answer.body());
        } catch (IOException none) {
            return new Answer(0, String.valueOf(none.getMessage()));
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return new Answer(0, "stopped");
        }
    }
}
