package lynchet.format;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import lynchet.core.map.MapData;

/** The JSON Schema of the archive, read off the core's own records, so that it cannot say something else. */
public final class ArchiveSchema {

    private static final Set<String> ALWAYS =
            Set.of("id", "format", "stage", "family", "first", "from", "to", "technique");

    private final Map<String, Object> definitions = new TreeMap<>();

    private ArchiveSchema() {}

    /** A file with a map and nothing else. */
    private record MapFile(int format, String name, MapData map) {}

    /** The schema of a whole club as indented JSON. */
    public static String json() {
        return json("A club in Lynchet's open format", ClubArchive.Archive.class);
    }

    /** The schema of a map alone as indented JSON. */
    public static String mapJson() {
        return json("A map in Lynchet's open format", MapFile.class);
    }

    private static String json(String title, Class<?> file) {
        ArchiveSchema schema = new ArchiveSchema();
        Map<String, Object> root = new LinkedHashMap<>();
        root.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        root.put("title", title);
        root.putAll(schema.record(file));
        root.put("$defs", schema.definitions);
        return Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    private Map<String, Object> record(Class<?> type) {
        Map<String, Object> properties = new LinkedHashMap<>();
        for (RecordComponent component : type.getRecordComponents()) {
            properties.put(component.getName(), type(component.getGenericType()));
        }
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("type", "object");
        schema.put("additionalProperties", false);
        schema.put("properties", properties);
        List<String> required = Stream.of(type.getRecordComponents())
                .map(RecordComponent::getName)
                .filter(name -> ALWAYS.contains(name) && !isOptional(type, name))
                .toList();
        schema.put("required", required);
        return schema;
    }

    private static boolean isOptional(Class<?> type, String name) {
        return name.equals("technique") && !type.getSimpleName().equals("Link")
                || name.equals("first") && type.getSimpleName().equals("Chain")
                || name.equals("format") && type != ClubArchive.Archive.class && type != MapFile.class;
    }

    private Map<String, Object> type(Type type) {
        if (type instanceof ParameterizedType generic) {
            Type last = generic.getActualTypeArguments()[generic.getActualTypeArguments().length - 1];
            return generic.getRawType() == Map.class
                    ? Map.of("type", "object", "additionalProperties", type(last))
                    : new TreeMap<>(Map.of("type", "array", "items", type(last)));
        }
        Class<?> plain = (Class<?>) type;
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
            return Map.of("type", "string");
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
