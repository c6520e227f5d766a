package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import lynchet.format.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(RunningClub.class)
class ApiDocumentTest {

    @Test
    void theCommittedDocumentIsWhatTheServerServes() throws Exception {
        RunningClub.as("viewer").get("/v3/api-docs").expect(200);
        Map<?, ?> served = Json.mapper()
                .readValue(
                        RunningClub.as("viewer").get("/v3/api-docs").expect(200).text(), Map.class);
        String text = Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsString(served) + "\n";
        Path file = Path.of("../web/openapi.json");
        if (Boolean.getBoolean("write.documents")) {
            Files.writeString(file, text);
        }
        assertThat(Files.readString(file))
                .as("run ./lynchet api and commit the file")
                .isEqualTo(text);
    }
}
