package lynchet.server.keep;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** What stands behind the question mark of an address can be read, or the request goes no further. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class ReadableQuery extends OncePerRequestFilter {

    private final ProblemWriter problems;

    ReadableQuery(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (isReadable(request.getQueryString())) {
            chain.doFilter(request, response);
        } else {
            problems.write(
                    response,
                    HttpStatus.BAD_REQUEST,
                    "NOT_READABLE",
                    "What stands behind the question mark cannot be read.");
        }
    }

    /** Whether each per cent stands before two figures of sixteen, and what they spell is text. */
    static boolean isReadable(String query) {
        if (query == null) {
            return true;
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        for (int i = 0; i < query.length(); i++) {
            if (query.charAt(i) != '%') {
                bytes.writeBytes(query.substring(i, i + 1).getBytes(StandardCharsets.UTF_8));
            } else if (i + 2 < query.length() && query.substring(i + 1, i + 3).matches("[0-9a-fA-F]{2}")) {
                bytes.write(Integer.parseInt(query, i + 1, i + 3, 16));
                i += 2;
            } else {
                return false;
            }
        }
        try {
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes.toByteArray()));
            return true;
        } catch (CharacterCodingException e) {
            return false;
        }
    }
}
