package lynchet.bench.club;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;

/** Somebody at the other end of HTTP. */
final class User {

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .build();
    private final String base;

    User(String base) {
        this.base = base;
        get("/api/session/welcome");
    }

    private HttpRequest.Builder to(String path) {
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(cookie -> cookie.getValue())
                .findFirst()
                .orElse("");
        return HttpRequest.newBuilder(URI.create(base + path))
                .timeout(Duration.ofMinutes(15))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token);
    }

    private String send(HttpRequest request) {
        try {
            HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() >= 300) {
                throw new IllegalStateException(
                        request.uri() + " answers " + answer.statusCode() + " " + answer.body());
            }
            return answer.body();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    String get(String path) {
        return send(to(path).GET().build());
    }

    JsonNode json(String path) {
        return Json.mapper().readTree(get(path));
    }

    String post(String path, Object body) {
        return send(to(path).POST(HttpRequest.BodyPublishers.ofString(Json.write(body)))
                .build());
    }

    JsonNode upload(String path, Path file) throws IOException {
        return Json.mapper()
                .readTree(send(
                        to(path).POST(HttpRequest.BodyPublishers.ofFile(file)).build()));
    }

    void download(String path, Path file) throws IOException, InterruptedException {
        client.send(to(path).GET().build(), HttpResponse.BodyHandlers.ofFile(file));
    }
}
