package lynchet.format;

import com.fasterxml.jackson.annotation.JsonInclude;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** How core values become JSON and back: strict on the way in, short and always the same on the way out. */
public final class Json {

    static final int MOST_NESTED = 200;

    /** Longer than any text that is taken in, so that a file of nonsense is given up early. */
    private static final int LONGEST_TEXT = 100_000;

    private static final JsonMapper MAPPER = mapper(LONGEST_TEXT);
    private static final JsonMapper OF_THE_DISK = mapper(Integer.MAX_VALUE);

    private Json() {}

    private static JsonMapper mapper(int longestText) {
        return JsonMapper.builder(JsonFactory.builder()
                        .streamReadConstraints(StreamReadConstraints.builder()
                                .maxNestingDepth(MOST_NESTED)
                                .maxStringLength(longestText)
                                .maxNumberLength(40)
                                .maxNameLength(200)
                                .build())
                        .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                        .build())
                .enable(
                        DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
                        DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .changeDefaultPropertyInclusion(value -> value.withValueInclusion(JsonInclude.Include.NON_EMPTY))
                .build();
    }

    /** The mapper of the open format; do not change it. */
    public static JsonMapper mapper() {
        return MAPPER;
    }

    /** The mapper for what was written before; it refuses nothing for its size. */
    public static JsonMapper ofTheDisk() {
        return OF_THE_DISK;
    }

    /** One value as a single line. */
    public static String write(Object value) {
        return MAPPER.writeValueAsString(value);
    }

    /**
     * Reads what was written before; it is never refused for its size.
     *
     * @throws tools.jackson.core.JacksonException if the text is not such a value
     */
    public static <T> T read(String json, Class<T> type) {
        return OF_THE_DISK.readValue(json, type);
    }
}
