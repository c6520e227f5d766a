package lynchet.server.house;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The API document: the same bytes wherever it is served, every property always there (it may be null). */
@Configuration
class ApiDocument {

    /** With a server of its own named, none is guessed from the request. */
    @Bean
    OpenAPI document() {
        return new OpenAPI().info(new Info().title("Lynchet").version("1")).servers(List.of(new Server().url("/")));
    }

    @Bean
    OpenApiCustomizer steady() {
        return document -> {
            document.getPaths().forEach((path, item) -> item.readOperationsMap()
                    .forEach((method, operation) -> operation.setOperationId(
                            method.name().toLowerCase(Locale.ROOT) + path.replaceAll("[^A-Za-z]+", "-"))));
            document.setTags(null);
            @SuppressWarnings("rawtypes")
            Map<String, Schema> schemas = new TreeMap<>(document.getComponents().getSchemas());
            schemas.values().forEach(ApiDocument::requireAll);
            document.getComponents().setSchemas(schemas);
        };
    }

    @SuppressWarnings("unchecked")
    private static void requireAll(Schema<?> schema) {
        if (schema.getProperties() != null) {
            List<String> names =
                    new ArrayList<>(((Schema<Object>) schema).getProperties().keySet());
            names.sort(null);
            schema.setRequired(names);
        }
    }
}
