package lynchet.server.house;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.rule.Limits;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** The API document: the same bytes wherever it is served, every property always there (it may be null). */
@Configuration
class ApiDocument {

    /** With a server of its own named, none is guessed from the request. */
    @Bean
    OpenAPI document() {
        return new OpenAPI().info(new Info().title("Lynchet").version("1")).servers(List.of(new Server().url("/")));
    }

    @Bean
    OpenApiCustomizer steady(@Qualifier("requestMappingHandlerMapping") RequestMappingHandlerMapping handlers) {
        return document -> {
            document.getPaths().forEach((path, item) -> item.readOperationsMap()
                    .forEach((method, operation) -> operation.setOperationId(
                            method.name().toLowerCase(Locale.ROOT) + path.replaceAll("[^A-Za-z]+", "-"))));
            document.setTags(null);
            @SuppressWarnings("rawtypes")
            Map<String, Schema> schemas = new TreeMap<>(document.getComponents().getSchemas());
            schemas.values().forEach(ApiDocument::requireAll);
            new SentRecords(handlers).all().forEach(record -> limits(schemas, record));
            document.getComponents().setSchemas(schemas);
        };
    }

    /** What is sent says how long its texts and lists may be. */
    @SuppressWarnings("rawtypes")
    private static void limits(Map<String, Schema> schemas, Class<?> record) {
        Schema<?> schema = schemas.get(record.getSimpleName());
        if (schema == null || schema.getProperties() == null) {
            return;
        }
        for (RecordComponent component : record.getRecordComponents()) {
            Schema<?> property = (Schema<?>) schema.getProperties().get(component.getName());
            if (property != null) {
                limit(property, component.getAnnotatedType());
            }
        }
    }

    private static void limit(Schema<?> property, AnnotatedType type) {
        Limits.most(type).ifPresent(most -> {
            if (property.getItems() != null) {
                property.setMaxItems(most);
                limit(property.getItems(), Limits.entries(type));
            } else if (type.getType() == String.class) {
                property.setMaxLength(most);
            } else {
                property.setMaxProperties(most);
            }
        });
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
