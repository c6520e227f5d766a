package lynchet.server.keep;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lynchet.format.Json;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * The append-only trail of changes: who, when, what, before, after. Lines written in one transaction are one edit.
 * Nothing about health is ever written here.
 */
@Component
public class Journal {

    /**
     * One line.
     *
     * @param edit what it was written together with
     * @param what add, change, remove, …
     * @param before body in the open format; null where there was none
     * @param after body in the open format; null where there is none
     */
    public record Line(
            long id,
            String edit,
            Instant at,
            String who,
            String what,
            String kind,
            String target,
            @Nullable String before,
            @Nullable String after) {}

    /** The header in which a write answers the id of its edit. */
    public static final String EDIT_HEADER = "Lynchet-Edit";

    private static final String LINES =
            "select id, edit, at, who, what, kind, target, before_body, after_body from journal where edit is not null and ";

    private final JdbcTemplate jdbc;
    private final Clock clock;

    Journal(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    private static final int BATCH = 500;

    /** Writes one line in the caller's transaction; {@code before} or {@code after} is null where there is none. */
    public void write(String what, String kind, String target, Object before, Object after) {
        jdbc.update(
                "insert into journal (at, who, what, kind, target, before_body, after_body, edit) values (?, ?, ?, ?, ?, ?, ?, ?)",
                OffsetDateTime.now(clock),
                who(),
                what,
                kind,
                target,
                before == null ? null : Json.write(before),
                after == null ? null : Json.write(after),
                edit());
    }

    /** The edit of the running transaction; whatever is written in it belongs to that one. */
    public String running() {
        return edit();
    }

    private String edit() {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            return UUID.randomUUID().toString();
        }
        if (TransactionSynchronizationManager.getResource(this) instanceof String begun) {
            return begun;
        }
        String edit = UUID.randomUUID().toString();
        TransactionSynchronizationManager.bindResource(this, edit);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                answer(edit);
            }

            @Override
            public void afterCompletion(int status) {
                TransactionSynchronizationManager.unbindResource(Journal.this);
            }
        });
        return edit;
    }

    /** Tells the person who asked for the change the id of their edit, by which it can be taken back. */
    private static void answer(String edit) {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                && request.getResponse() != null) {
            request.getResponse().setHeader(EDIT_HEADER, edit);
        }
    }

    /** What happened to one thing, the newest first, at most {@code most} lines. */
    public List<Line> of(String kind, String target, int most) {
        return jdbc.query(
                LINES + "kind = ? and target = ? order by id desc limit ?", (row, n) -> line(row), kind, target, most);
    }

    /** What one edit did, in the order it was done. */
    public List<Line> ofEdit(String edit) {
        return jdbc.query(LINES + "edit = ? order by id", (row, n) -> line(row), edit);
    }

    /** The first lines of an edit, in the order it was done. */
    public List<Line> beginningOf(String edit, int most) {
        return jdbc.query(LINES + "edit = ? order by id limit ?", (row, n) -> line(row), edit, most);
    }

    /** How many lines an edit has. */
    public int linesOf(String edit) {
        Integer count = jdbc.queryForObject("select count(*) from journal where edit = ?", Integer.class, edit);
        return count == null ? 0 : count;
    }

    /** An edit, and the number of its first line. */
    public record Mention(String edit, long firstLine) {}

    /** The last edit of an account that begins before a line. */
    public Optional<Mention> lastEdit(String who, long before) {
        return jdbc
                .queryForList(
                        "select edit from journal where who = ? and id < ? and edit is not null order by id desc limit 1",
                        String.class,
                        who,
                        before)
                .stream()
                .findFirst()
                .map(edit -> new Mention(
                        edit, jdbc.queryForObject("select min(id) from journal where edit = ?", Long.class, edit)));
    }

    /** The edits that touched a thing after a line. */
    public List<String> editsAfter(long line, String kind, String target) {
        return jdbc.queryForList(
                "select distinct edit from journal where kind = ? and target = ? and id > ? and edit is not null",
                String.class,
                kind,
                target,
                line);
    }

    /** The first and the last that happened to each thing of these kinds since then, in the order it happened. */
    public List<Line> firstAndLast(Instant from, Collection<String> kinds) {
        List<Object> values = new java.util.ArrayList<>(kinds);
        values.add(0, OffsetDateTime.ofInstant(from, ZoneOffset.UTC));
        String since = "at >= ? and kind in (" + Sql.marks(kinds.size()) + ")";
        List<Long> ids = new java.util.ArrayList<>();
        jdbc.query(
                "select min(id), max(id) from journal where " + since + " group by kind, target",
                row -> {
                    ids.add(row.getLong(1));
                    ids.add(row.getLong(2));
                },
                values.toArray());
        List<Long> each = ids.stream().distinct().sorted().toList();
        List<Line> lines = new java.util.ArrayList<>();
        for (int n = 0; n < each.size(); n += BATCH) {
            List<Long> some = each.subList(n, Math.min(each.size(), n + BATCH));
            lines.addAll(jdbc.query(
                    LINES + "id in (" + Sql.marks(some.size()) + ") order by id",
                    (row, at) -> line(row),
                    some.toArray()));
        }
        return lines;
    }

    private static Line line(ResultSet row) throws SQLException {
        return new Line(
                row.getLong("id"),
                row.getString("edit"),
                row.getObject("at", OffsetDateTime.class).toInstant(),
                row.getString("who"),
                row.getString("what"),
                row.getString("kind"),
                row.getString("target"),
                row.getString("before_body"),
                row.getString("after_body"));
    }

    /** The account that acts, or "system". */
    public static String who() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication == null ? "system" : authentication.getName();
    }
}
