package lynchet.server.door;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import lynchet.core.rule.Limits;
import lynchet.core.rule.UsualValue;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** The API document: the same bytes wherever it is served, every property always there, null only where it says so. */
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
            SpokenRecords spoken = new SpokenRecords(handlers);
            spoken.sent().values().forEach(record -> each(schemas, record, ApiDocument::sent));
            spoken.all().values().forEach(record -> each(schemas, record, ApiDocument::nullable));
            document.getComponents().setSchemas(schemas);
            ApiProblems.describe(document);
        };
    }

    private interface Adding {
        Schema<?> of(Schema<?> property, RecordComponent component);
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void each(Map<String, Schema> schemas, Class<?> record, Adding say) {
        Schema<?> schema = schemas.get(record.getSimpleName());
        if (schema == null || schema.getProperties() == null) {
            return;
        }
        Map<String, Schema> properties = schema.getProperties();
        for (RecordComponent component : record.getRecordComponents()) {
            properties.computeIfPresent(component.getName(), (name, property) -> say.of(property, component));
        }
    }

    /** What may be null says so. */
    @SuppressWarnings("unchecked")
    private static Schema<?> nullable(Schema<?> property, RecordComponent component) {
        if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
            return property;
        }
        if (property.get$ref() != null) {
            return new JsonSchema().oneOf(List.of(property, new JsonSchema().types(Set.of("null"))));
        }
        if (property.getTypes() != null) {
            property.addType("null");
            if (property.getEnum() != null) {
                ((Schema<Object>) property).addEnumItemObject(null);
            }
        }
        return property;
    }

    /** What is sent says how long its texts and lists may be, and what is usual where something may be left out. */
    private static Schema<?> sent(Schema<?> property, RecordComponent component) {
        UsualValue.of(component).ifPresent(property::setDefault);
        return limit(property, component.getAnnotatedType());
    }

    private static Schema<?> limit(Schema<?> property, AnnotatedType type) {
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
        return property;
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
