package lynchet.server.keep;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Bodies are small and come within seconds, but for files that the head coach takes in; signing in needs a line. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {

    private static final long THING = 2L << 20;
    private static final long SIGN_IN = 8L << 10;

    private final ProblemWriter problems;

    private final WaitingBodies waiting = new WaitingBodies();

    BodyLimit(ProblemWriter problems) {
        this.problems = problems;
    }

    private static long most(String path) {
        if (path.startsWith("/api/archive") || path.startsWith("/api/imports") || path.startsWith("/api/csv")) {
            return Long.MAX_VALUE;
        }
        return path.startsWith("/api/session") ? SIGN_IN : THING;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = most(request.getRequestURI());
        if (request.getContentLengthLong() > most) {
            problems.write(
                    response,
                    HttpStatus.CONTENT_TOO_LARGE,
                    "TOO_LARGE",
                    "What was sent is larger than " + (most >> 10) + " kB. Nothing was changed.");
            return;
        }
        chain.doFilter(most == Long.MAX_VALUE ? request : new Limited(request, most, waiting), response);
    }

    /** A request whose body ends with an error where it is longer than it said or may be. */
    private static final class Limited extends HttpServletRequestWrapper {

        private final long most;
        private final WaitingBodies waiting;

        private Limited(HttpServletRequest request, long most, WaitingBodies waiting) {
            super(request);
            this.most = most;
            this.waiting = waiting;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream in = super.getInputStream();
            return new ServletInputStream() {
                private final long began = System.nanoTime();
                private long read;

                @Override
                public int read() throws IOException {
                    byte[] one = new byte[1];
                    return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
                }

                @Override
                public int read(byte[] bytes, int offset, int length) throws IOException {
                    int some = in.available() > 0
                            ? in.read(bytes, offset, length)
                            : waiting.in(Limited.this, () -> in.read(bytes, offset, length));
                    count(Math.max(0, some));
                    waiting.inTime(began, read);
                    return some;
                }

                private void count(int some) {
                    read += some;
                    if (read > most) {
                        throw Refusal.of(
                                HttpStatus.CONTENT_TOO_LARGE,
                                "TOO_LARGE",
                                "/",
                                "What was sent is larger than " + (most >> 10) + " kB. Nothing was changed.");
                    }
                }

                @Override
                public boolean isFinished() {
                    return in.isFinished();
                }

                @Override
                public boolean isReady() {
                    return in.isReady();
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    in.setReadListener(listener);
                }
            };
        }
    }
}
