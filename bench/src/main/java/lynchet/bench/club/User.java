package lynchet.bench.club;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.HttpURLConnection;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;

/** Somebody at the other end of HTTP. Plain blocking calls; who writes all the time does it by {@link #wire}. */
final class User {

    private static final int LONGEST_WAIT = 15 * 60_000;

    static {
        System.setProperty("http.maxConnections", "100");
    }

    private final Map<String, String> cookies = new TreeMap<>();
    private String edit;
    private final String base;

    User(String base) {
        this.base = base;
        get("/api/session/welcome");
    }

    private interface Body {
        void to(HttpURLConnection asking) throws IOException;
    }

    private interface Answer<T> {
        T from(InputStream body) throws IOException;
    }

    private <T> T ask(String method, String path, Body body, Answer<T> answer) {
        try {
            HttpURLConnection asking =
                    (HttpURLConnection) URI.create(base + path).toURL().openConnection();
            asking.setReadTimeout(LONGEST_WAIT);
            asking.setRequestMethod(method);
            asking.setRequestProperty("Cookie", cookies());
            if (body != null) {
                asking.setDoOutput(true);
                asking.setRequestProperty("Content-Type", "application/json");
                asking.setRequestProperty("X-XSRF-TOKEN", cookies.getOrDefault("XSRF-TOKEN", ""));
                body.to(asking);
            }
            int status = asking.getResponseCode();
            for (int i = 1; asking.getHeaderField(i) != null; i++) { // in their order: taken away, then given again
                if ("Set-Cookie".equalsIgnoreCase(asking.getHeaderFieldKey(i))) {
                    keep(asking.getHeaderField(i));
                }
            }
            if (status >= 300) {
                throw new IllegalStateException(path + " answers " + status + " "
                        + new String(asking.getErrorStream().readAllBytes(), StandardCharsets.UTF_8));
            }
            edit = asking.getHeaderField("Lynchet-Edit");
            try (InputStream in = asking.getInputStream()) {
                return answer.from(in);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void keep(String cookie) {
        String[] pair = cookie.split(";", 2)[0].split("=", 2);
        cookies.put(pair[0], pair[1]);
    }

    private String cookies() {
        return cookies.entrySet().stream()
                .map(cookie -> cookie.getKey() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
    }

    /** A connection of its own on which this one posts records, one after the other. */
    Wire wire() {
        return new Wire(base, cookies(), cookies.getOrDefault("XSRF-TOKEN", ""));
    }

    private static String text(InputStream in) throws IOException {
        return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }

    String get(String path) {
        return ask("GET", path, null, User::text);
    }

    JsonNode json(String path) {
        return Json.mapper().readTree(get(path));
    }

    String post(String path, Object body) {
        byte[] bytes = Json.write(body).getBytes(StandardCharsets.UTF_8);
        return ask("POST", path, asking -> asking.getOutputStream().write(bytes), User::text);
    }

    /** The id of the edit that the last write made, by which it is taken back; null: it made none. */
    String edit() {
        return edit;
    }

    /** Changes what has this tag. */
    String put(String path, Object body, String tag) {
        byte[] bytes = Json.write(body).getBytes(StandardCharsets.UTF_8);
        return ask(
                "PUT",
                path,
                asking -> {
                    asking.setRequestProperty("If-Match", tag);
                    asking.getOutputStream().write(bytes);
                },
                User::text);
    }

    JsonNode upload(String path, Path file) {
        String answer = ask(
                "POST",
                path,
                asking -> {
                    asking.setFixedLengthStreamingMode(Files.size(file));
                    Files.copy(file, asking.getOutputStream());
                },
                User::text);
        return Json.mapper().readTree(answer);
    }

    void download(String path, Path file) {
        ask("GET", path, null, in -> Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING));
    }
}
