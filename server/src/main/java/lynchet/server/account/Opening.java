package lynchet.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.CountDownLatch;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Keeps the person who asks for data at the door until the club is in the house; pages are served meanwhile. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class Opening extends OncePerRequestFilter {

    private final CountDownLatch closed = new CountDownLatch(1);

    /** Lets everybody in. */
    public void open() {
        closed.countDown();
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            closed.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return;
        }
        chain.doFilter(request, response);
    }
}
