package lynchet.format;

import java.lang.reflect.AnnotatedType;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.rule.Limits;
import lynchet.core.rule.UsualValue;

/** The JSON Schema of the archive, read off the core's own records, so that it cannot say something else. */
public final class ArchiveSchema {

    private static final Set<String> ALWAYS = Set.of("id", "stage", "family", "first", "from", "to", "technique");

    private final Map<String, Object> definitions = new TreeMap<>();

    private ArchiveSchema() {}

    /** The schema of a whole club as indented JSON. */
    public static String json() {
        return json("A club in Lynchet's open format", Parts.ALL);
    }

    /** The schema of a map alone as indented JSON. */
    public static String mapJson() {
        return json("A map in Lynchet's open format", Parts.MAP);
    }

    private static String json(String title, List<Part<?>> parts) {
        ArchiveSchema schema = new ArchiveSchema();
        Map<String, Object> properties = new LinkedHashMap<>();
        properties.put("format", new TreeMap<>(Map.of("type", "integer", "const", ClubArchive.FORMAT)));
        properties.put("name", new TreeMap<>(Map.of("type", "string", "maxLength", Limits.TEXT)));
        properties.put("map", object(schema.lists(Parts.MAP), List.of()));
        properties.putAll(schema.lists(
                parts.stream().filter(part -> !Parts.MAP.contains(part)).toList()));
        Map<String, Object> root = new LinkedHashMap<>();
        root.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        root.put("title", title);
        root.putAll(object(properties, List.of("format")));
        root.put("$defs", schema.definitions);
        return Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    private Map<String, Object> lists(List<Part<?>> parts) {
        Map<String, Object> lists = new LinkedHashMap<>();
        parts.forEach(part ->
                lists.put(part.name(), new TreeMap<>(Map.of("type", "array", "items", plain(part.type(), null)))));
        return lists;
    }

    private static Map<String, Object> object(Map<String, Object> properties, List<String> required) {
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("type", "object");
        schema.put("additionalProperties", false);
        schema.put("properties", properties);
        schema.put("required", required);
        return schema;
    }

    private Map<String, Object> record(Class<?> type) {
        Map<String, Object> properties = new LinkedHashMap<>();
        for (RecordComponent component : type.getRecordComponents()) {
            properties.put(component.getName(), property(component));
        }
        return object(
                properties,
                Stream.of(type.getRecordComponents())
                        .map(RecordComponent::getName)
                        .filter(name -> ALWAYS.contains(name) && !isOptional(type, name))
                        .toList());
    }

    /** A property of a record, with what is usual where it may be left out. */
    private Map<String, Object> property(RecordComponent component) {
        Map<String, Object> property = new TreeMap<>(type(component.getAnnotatedType()));
        UsualValue.of(component).ifPresent(usual -> property.put("default", usual));
        return property;
    }

    private static boolean isOptional(Class<?> type, String name) {
        return name.equals("technique") && !type.getSimpleName().equals("Link")
                || name.equals("first") && type.getSimpleName().equals("Chain")
                || name.equals("from") && List.of("Slot", "Promotion").contains(type.getSimpleName());
    }

    private Map<String, Object> type(AnnotatedType annotated) {
        Integer most = Limits.most(annotated).orElse(null);
        if (annotated.getType() instanceof ParameterizedType generic) {
            Map<String, Object> entries = type(Limits.entries(annotated));
            return generic.getRawType() == Map.class
                    ? new TreeMap<>(Map.of("type", "object", "additionalProperties", entries, "maxProperties", most))
                    : new TreeMap<>(Map.of("type", "array", "items", entries, "maxItems", most));
        }
        return plain((Class<?>) annotated.getType(), most);
    }

    private Map<String, Object> plain(Class<?> plain, Integer most) {
        if (plain.isEnum()) {
            return new TreeMap<>(Map.of(
                    "enum",
                    Stream.of(plain.getEnumConstants()).map(Object::toString).toList()));
        }
        if (plain.isRecord()) {
            String name = plain.getSimpleName();
            if (!definitions.containsKey(name)) {
                definitions.put(name, Map.of());
                definitions.put(name, record(plain));
            }
            return Map.of("$ref", "#/$defs/" + name);
        }
        if (plain == String.class) {
            return new TreeMap<>(Map.of("type", "string", "maxLength", most));
        }
        if (plain == boolean.class) {
            return Map.of("type", "boolean");
        }
        if (plain == int.class || plain == Integer.class) {
            return Map.of("type", "integer");
        }
        if (plain == double.class || plain == Double.class) {
            return Map.of("type", "number");
        }
        String format = plain == LocalDate.class ? "date" : plain == LocalTime.class ? "time" : "date-time";
        if (format.equals("date-time") && plain != Instant.class) {
            throw new IllegalStateException("the schema does not know how to say " + plain);
        }
        return new TreeMap<>(Map.of("type", "string", "format", format));
    }
}
