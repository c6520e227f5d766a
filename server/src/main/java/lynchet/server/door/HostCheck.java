package lynchet.server.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.server.keep.ProblemWriter;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only under the names it is known by, so that a page from elsewhere cannot make a name of its own point here and
 * read with the coach's cookie.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class HostCheck extends OncePerRequestFilter {

    private final Set<String> hosts;
    private final ProblemWriter problems;

    /** @param hosts names and addresses, parted by commas */
    HostCheck(@Value("${lynchet.hosts}") String hosts, ProblemWriter problems) {
        this.hosts = Stream.of(hosts.split(","))
                .map(host -> host.strip().toLowerCase(Locale.ROOT))
                .filter(host -> !host.isEmpty())
                .collect(Collectors.toUnmodifiableSet());
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (hosts.contains(name(request.getHeader("Host")))) {
            chain.doFilter(request, response);
        } else {
            problems.write(
                    response,
                    HttpStatus.MISDIRECTED_REQUEST,
                    "HOST",
                    "Lynchet is not known by this name. Open it at the address that the console printed.");
        }
    }

    /** "Barn.local:8443" → "barn.local", "[::1]:80" → "[::1]" */
    static String name(String host) {
        return host == null ? "" : host.strip().replaceFirst(":\\d+$", "").toLowerCase(Locale.ROOT);
    }
}
