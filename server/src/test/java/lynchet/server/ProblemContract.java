package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import lynchet.format.Json;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** Holds every refusal that a test sees to what the API document says: its status on that path, and its code. */
final class ProblemContract {

    private static final int PROBLEM = 400;

    private static final Pattern SLUG = Pattern.compile("\\b[a-z0-9]+(?:-[a-z0-9]+)+\\b");

    /** Words with hyphens that are no ids. */
    private static final Set<String> ENGLISH = Set.of("lower-case", "called-by", "one-time", "e-mail", "hold-down");

    private record Path(Pattern pattern, JsonNode operations) {}

    private static final List<Path> PATHS = new ArrayList<>();
    private static final Set<String> CODES = new HashSet<>();

    static {
        JsonNode document = EveryRead.document();
        document.path("paths")
                .properties()
                .forEach(path -> PATHS.add(
                        new Path(Pattern.compile(path.getKey().replaceAll("\\{[^}]*}", "[^/]+")), path.getValue())));
        // What is named stands before what is any id.
        PATHS.sort((one, other) -> Boolean.compare(
                one.pattern().pattern().contains("[^/]+"),
                other.pattern().pattern().contains("[^/]+")));
        document.at("/components/schemas/Problem/properties/code/enum").forEach(code -> CODES.add(code.asString()));
    }

    private ProblemContract() {}

    static void holds(String method, String address, int status, String body) {
        boolean isOurs = address.startsWith("/api/") && !body.startsWith("<");
        if (status < PROBLEM || !isOurs) { // a request that is no HTTP is refused before it comes to us, as a page
            return;
        }
        speaksOfNoId(body);
        String plain = address.replaceAll("\\?.*", "");
        PATHS.stream()
                .filter(path -> path.pattern().matcher(plain).matches())
                .map(path -> path.operations().path(method.toLowerCase(Locale.ROOT)))
                .filter(operation -> !operation.isMissingNode())
                .findFirst()
                .ifPresent(operation -> {
                    assertThat(operation.path("responses").propertyNames())
                            .as("what %s %s may answer; it said %s", method, address, body)
                            .contains(String.valueOf(status));
                    assertThat(CODES).as("the code of %s", body).contains(code(body));
                });
    }

    /** A sentence is for people: it names things as they are called. */
    private static void speaksOfNoId(String body) {
        boolean echoes = Set.of("NOT_READABLE", "NOT_VALID").contains(code(body)); // what was sent, as it was sent
        String sentence = echoes ? field(body, "detail").replaceAll("“[^”]*”", "") : field(body, "detail");
        List<String> ids = SLUG.matcher(sentence)
                .results()
                .map(MatchResult::group)
                .filter(word -> !ENGLISH.contains(word) && !word.matches("[0-9-]+"))
                .toList();
        assertThat(ids).as("ids in a sentence: %s", body).isEmpty();
    }

    private static String code(String body) {
        return field(body, "code");
    }

    private static String field(String body, String name) {
        try {
            return Json.mapper().readTree(body).path(name).asString("");
        } catch (JacksonException e) {
            return "";
        }
    }
}
