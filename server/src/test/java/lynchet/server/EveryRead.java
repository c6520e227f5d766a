package lynchet.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;

/** Every read that the committed API document knows, at something that the demo has. */
public final class EveryRead {

    private EveryRead() {}

    public static JsonNode document() {
        try {
            return Json.mapper().readTree(Files.readString(Path.of("../web/openapi.json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Where to ask, and the path in the document that it stands for. */
    static Map<String, String> addresses(String student) {
        Map<String, String> addresses = new TreeMap<>();
        String card = RunningClub.as("head")
                .get("/api/people/" + student)
                .json()
                .path("card")
                .asString("");
        document().path("paths").properties().forEach(path -> {
            if (path.getValue().has("get")) {
                String there = path.getKey()
                        .replace("/people/{id}", "/people/" + student)
                        .replace("/ladders/{id}", "/ladders/adult")
                        .replace("/plans/{id}", "/plans/running-term-fundamentals")
                        .replace("/cycles/{id}", "/cycles/no-jacket-weeks")
                        .replace("/incidents/{id}", "/incidents/planted-incident")
                        .replace("/classes/{id}", "/classes/fundamentals-" + RunningClub.TODAY)
                        .replace("{card}", card)
                        .replace("{kind}", "roster")
                        .replace("{name}", "none")
                        .replace("{edit}", "none")
                        .replace("{day}", "2026-12-31")
                        .replace("{rank}", "yellow")
                        .replace("{id}", "closed-guard");
                there += there.endsWith("/promotions") || there.endsWith("/evidence") || there.endsWith("/ignored")
                        ? "?student=" + student
                        : "";
                there += there.equals("/api/people") ? "?size=200" : "";
                there += there.endsWith("/incidents") || there.endsWith("/merits") ? "?student=" + student : "";
                there += there.endsWith("/board") || there.endsWith("/belts") ? "?ladder=adult" : "";
                there += there.endsWith("/asks") ? "?student=" + student : "";
                there += there.endsWith("/faults") ? "?from=2026-10-25&to=2026-11-24" : "";
                there += there.endsWith("/memory") ? "?subject=closed-guard-scissor" : "";
                there += there.endsWith("/" + student + "/attendance") ? "?from=2026-01-01&to=2026-12-31" : "";
                addresses.put(there, path.getKey());
            }
        });
        return addresses;
    }
}
