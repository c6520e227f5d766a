package lynchet.server.account;

import jakarta.servlet.http.HttpSession;
import jakarta.servlet.http.HttpSessionEvent;
import jakarta.servlet.http.HttpSessionListener;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;

/** Who is signed in where. Sessions end with the server, and here when an account is switched off or changed. */
@Component
@Lazy(false)
class OpenSessions implements HttpSessionListener {

    private static final String ACCOUNT = "lynchet.account";
    private static final String NAME = "lynchet.session";
    private static final String WHERE = "lynchet.where";
    private static final int LONGEST = 200;

    private final Map<HttpSession, Boolean> open = new ConcurrentHashMap<>();

    /**
     * A place where an account is signed in.
     *
     * @param id what it is called here; says nothing of the cookie
     * @param where what the browser calls itself
     * @param isThis whether it is the one that asks
     */
    record SessionView(String id, Instant since, Instant lastUsed, String where, boolean isThis) {}

    /** An account has signed in with this session. */
    void begun(HttpSession session, String account, String browser) {
        session.setAttribute(ACCOUNT, account);
        session.setAttribute(NAME, UUID.randomUUID().toString());
        String where = browser == null ? "" : browser;
        session.setAttribute(WHERE, where.substring(0, Math.min(LONGEST, where.length())));
        open.put(session, true);
    }

    List<SessionView> of(String account, HttpSession asking) {
        return open.keySet().stream()
                .filter(session -> account.equals(read(session, ACCOUNT)))
                .map(session -> new SessionView(
                        read(session, NAME),
                        Instant.ofEpochMilli(session.getCreationTime()),
                        Instant.ofEpochMilli(session.getLastAccessedTime()),
                        read(session, WHERE),
                        session.getId().equals(asking.getId())))
                .sorted(Comparator.comparing(SessionView::lastUsed).reversed())
                .toList();
    }

    /** Ends one session of an account; false if it has ended or is somebody else's. */
    boolean end(String account, String id) {
        return end(session -> account.equals(read(session, ACCOUNT)) && id.equals(read(session, NAME)));
    }

    void endAll(String account) {
        end(session -> account.equals(read(session, ACCOUNT)));
    }

    void endOthers(String account, HttpSession but) {
        end(session ->
                account.equals(read(session, ACCOUNT)) && !session.getId().equals(but.getId()));
    }

    private boolean end(java.util.function.Predicate<HttpSession> which) {
        boolean isAny = false;
        for (HttpSession session : open.keySet()) {
            if (which.test(session)) {
                open.remove(session);
                isAny = true;
                try {
                    session.invalidate();
                } catch (IllegalStateException ended) {
                    // it ended of itself meanwhile
                }
            }
        }
        return isAny;
    }

    private static String read(HttpSession session, String name) {
        try {
            return (String) session.getAttribute(name);
        } catch (IllegalStateException ended) {
            return null;
        }
    }

    @Override
    public void sessionDestroyed(HttpSessionEvent event) {
        open.keySet()
                .removeIf(session -> session.getId().equals(event.getSession().getId()));
    }
}
