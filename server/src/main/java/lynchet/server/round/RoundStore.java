package lynchet.server.round;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.map.GrapplingMap;
import lynchet.core.round.Logged;
import lynchet.core.round.Round;
import lynchet.core.round.RoundEvidence;
import lynchet.core.round.RoundFilter;
import lynchet.server.keep.AccountRights;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Remembered;
import lynchet.server.keep.RowStore;
import lynchet.server.keep.Sql;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the rounds, and what they say of the map. */
@Service
public class RoundStore extends RowStore<Round, RoundRow> {

    private record MapEvidence(GrapplingMap map, List<Logged> logged, RoundEvidence evidence) {}

    private final JdbcTemplate jdbc;
    private final Clock clock;
    private final Remembered<List<Logged>> counted = new Remembered<>();
    private volatile MapEvidence known;

    RoundStore(EntityManager entities, JdbcTemplate jdbc, Clock clock) {
        super(entities, Parts.ROUNDS, RoundRow.class, RoundRow::new);
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** How well the links of this map work; worked out again when the map or a round has changed. */
    public RoundEvidence evidence(GrapplingMap map) {
        List<Logged> now = counted.get(() -> count(RoundFilter.ALL));
        MapEvidence so = known;
        if (so == null || so.map() != map || so.logged() != now) {
            so = new MapEvidence(map, now, RoundEvidence.of(map, now, true));
            known = so;
        }
        return so.evidence();
    }

    /**
     * The same of some rounds only.
     *
     * @throws Refusal 403 for a viewer who asks about one student; 404 if there is no such student or ruleset
     */
    public RoundEvidence evidence(GrapplingMap map, TriesAsked asked, Authentication who) {
        RoundFilter filter = asked.filter(clock.getZone());
        if (filter.equals(RoundFilter.ALL)) {
            return evidence(map);
        }
        if (filter.student() != null) {
            if (AccountRights.isViewer(who)) {
                throw Refusal.of(HttpStatus.FORBIDDEN, "NOT_ALLOWED", "by", "One student's tries are for coaches.");
            }
            if (ids("select id from student where id = ?", List.of(filter.student()))
                    .isEmpty()) {
                throw Refusal.missing("student", filter.student());
            }
        }
        if (filter.ruleset() != null && map.ruleset(filter.ruleset()).isEmpty()) {
            throw Refusal.missing("ruleset", filter.ruleset());
        }
        return RoundEvidence.of(map, count(filter), filter.student() == null);
    }

    /** The evidence of what one student tried, with what is usual where that is little. */
    public RoundEvidence evidenceOf(String student, GrapplingMap map) {
        return RoundEvidence.of(map, count(new RoundFilter(student, null, null, null, null)), false);
    }

    /** The rounds somebody was in, in order of id. */
    @Transactional(readOnly = true)
    public List<Round> of(String student) {
        List<String> ids = jdbc.queryForList(
                "select id from round where first_student = ? or second_student = ? order by id",
                String.class,
                student,
                student);
        Map<String, Round> found = find(ids);
        return ids.stream().map(found::get).toList();
    }

    /** What {@link Logged#count} says of the rounds that are kept, counted by the database. */
    List<Logged> count(RoundFilter filter) {
        StringBuilder where = new StringBuilder(" where true");
        List<Object> values = new ArrayList<>();
        String mine = "true";
        if (filter.student() != null) {
            mine = "(case e.who when 'FIRST' then r.first_student else r.second_student end = ?)";
            values.add(filter.student());
            where.append(" and (r.first_student = ? or r.second_student = ?)");
            values.add(filter.student());
            values.add(filter.student());
        }
        narrow(
                where,
                values,
                "r.at >= ?",
                filter.from() == null ? null : filter.from().atOffset(ZoneOffset.UTC));
        narrow(
                where,
                values,
                "r.at < ?",
                filter.until() == null ? null : filter.until().atOffset(ZoneOffset.UTC));
        narrow(where, values, "r.ruleset = ?", filter.ruleset());
        narrow(
                where,
                values,
                "r.kind = ?",
                filter.kind() == null ? null : filter.kind().name());
        return jdbc.query(
                "select mine, begins, link, position, reaction, intent, outcome, count(*) from (select " + mine
                        + " as mine, e.place = 0 as begins, e.link, e.position, e.reaction, e.intent, e.outcome"
                        + " from round_event e join round r on r.id = e.round" + where
                        + ") group by mine, begins, link, position, reaction, intent, outcome",
                (row, n) -> new Logged(
                        row.getBoolean(1),
                        row.getBoolean(2),
                        row.getString(3),
                        row.getString(4),
                        row.getString(5),
                        Round.Intent.valueOf(row.getString(6)),
                        Round.Outcome.valueOf(row.getString(7)),
                        row.getInt(8)),
                values.toArray());
    }

    private static void narrow(StringBuilder where, List<Object> values, String condition, Object value) {
        if (value != null) {
            where.append(" and ").append(condition);
            values.add(value);
        }
    }

    @Override
    public void add(List<Round> things) {
        counted.changed();
        super.add(things);
    }

    @Override
    public void change(List<Round> things) {
        counted.changed();
        super.change(things);
    }

    @Override
    public void remove(Collection<String> ids) {
        counted.changed();
        super.remove(ids);
    }

    @Override
    @Transactional(readOnly = true)
    public List<Round> pointingAt(Target target, Collection<String> ids, int most) {
        List<String> found = new ArrayList<>();
        handfuls(List.copyOf(ids), some -> {
            String marks = Sql.marks(some.size());
            switch (target) {
                case LINK -> {
                    found.addAll(ids("select distinct round from round_event where link in (" + marks + ")", some));
                    found.addAll(ids("select id from round where end_link in (" + marks + ")", some));
                }
                case POSITION -> {
                    found.addAll(ids("select distinct round from round_event where position in (" + marks + ")", some));
                    found.addAll(ids("select id from round where end_position in (" + marks + ")", some));
                }
                case REACTION ->
                    found.addAll(ids("select distinct round from round_event where reaction in (" + marks + ")", some));
                case RULESET -> found.addAll(ids("select id from round where ruleset in (" + marks + ")", some));
                case CLASS -> found.addAll(ids("select id from round where class_id in (" + marks + ")", some));
                default -> {}
            }
        });
        List<String> once = found.stream().distinct().limit(most).toList();
        return List.copyOf(find(once).values());
    }

    private List<String> ids(String sql, List<String> values) {
        return jdbc.queryForList(sql, String.class, values.toArray());
    }
}
