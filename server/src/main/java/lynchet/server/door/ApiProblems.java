package lynchet.server.door;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.http.HttpStatus;

/**
 * What the API document says of errors: one problem for all of them (RFC 9457), with every code there is, and on each path the
 * statuses it can give. Server tests hold each refusal they see to it.
 */
final class ApiProblems {

    private static final String SCHEMA = "Problem";
    private static final String CODES = "/problem-codes.txt";

    private ApiProblems() {}

    static void describe(OpenAPI document) {
        document.getComponents().addSchemas(SCHEMA, problem());
        Set<Integer> used = new TreeSet<>();
        document.getPaths().forEach((path, item) -> item.readOperationsMap().forEach((method, operation) -> {
            for (int status : statuses(path, method, operation)) {
                used.add(status);
                operation
                        .getResponses()
                        .addApiResponse(
                                String.valueOf(status),
                                new ApiResponse().$ref("#/components/responses/" + SCHEMA + status));
            }
        }));
        used.forEach(status -> document.getComponents().addResponses(SCHEMA + status, response(status)));
    }

    /** Every code of a problem, in order. */
    static List<String> codes() {
        try (InputStream in = ApiProblems.class.getResourceAsStream(CODES)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<Integer> statuses(String path, PathItem.HttpMethod method, Operation operation) {
        List<Integer> statuses = new ArrayList<>();
        boolean asks =
                operation.getParameters() != null && !operation.getParameters().isEmpty();
        boolean reads = method == PathItem.HttpMethod.GET;
        if (!path.equals("/api/session/welcome")) {
            statuses.addAll(List.of(401, 403));
        }
        if (asks || !reads) {
            statuses.addAll(List.of(400, 404, 422));
        }
        if (!reads) {
            statuses.addAll(List.of(409, 413, 415));
        }
        statuses.add(503);
        if (!reads) {
            statuses.add(507);
        }
        if (!reads && !path.startsWith("/api/session")) {
            statuses.addAll(List.of(408, 429));
        }
        boolean asksForATag =
                asks && operation.getParameters().stream().anyMatch(one -> "If-Match".equals(one.getName()));
        if (!reads && (path.contains("{") || asksForATag)) {
            statuses.addAll(List.of(412, 428));
        }
        if (path.startsWith("/api/session")) {
            statuses.addAll(List.of(408, 410, 429));
        }
        return statuses;
    }

    private static ApiResponse response(int status) {
        return new ApiResponse()
                .description(HttpStatus.valueOf(status).getReasonPhrase())
                .content(new Content()
                        .addMediaType(
                                "application/problem+json",
                                new MediaType().schema(new JsonSchema().$ref("#/components/schemas/" + SCHEMA))));
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static Schema<?> problem() {
        Map<String, Schema> properties = new LinkedHashMap<>();
        Schema code = text("which rule, for programs");
        code.setEnum(codes());
        properties.put("code", code);
        properties.put("detail", text("what is wrong, in a sentence for a person"));
        properties.put("instance", text("the path that was asked"));
        properties.put("status", new JsonSchema().types(Set.of("integer")));
        properties.put("title", text("the status in words"));
        properties.put("where", text("the field or the id it is about; left out where it is about the whole"));
        Schema problem = new JsonSchema().types(Set.of("object"));
        problem.setProperties(properties);
        problem.setRequired(List.of("code", "detail", "status", "title"));
        return problem;
    }

    private static Schema<?> text(String description) {
        return new JsonSchema().types(Set.of("string")).description(description);
    }
}
