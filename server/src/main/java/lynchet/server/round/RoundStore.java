package lynchet.server.round;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.leak.Caught;
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
        Where where = new Where(filter);
        String mine = filter.student() == null
                ? "true"
                : "(case %s when 'FIRST' then r.first_student else r.second_student end = ?)";
        List<Object> values = new ArrayList<>();
        String events = "select " + whose(mine, "e.who", filter, values)
                + " as mine, e.place = 0 as begins, e.link, e.position, e.reaction, e.intent, e.outcome, false as card"
                + " from round_event e join round r on r.id = e.round" + where.sql;
        values.addAll(where.values);
        String cards = "select " + whose(mine, "r.winner", filter, values)
                + " as mine, false as begins, r.end_link as link, r.end_position as position, cast(null as varchar(80))"
                + " as reaction, 'TRY' as intent, 'WORKED' as outcome, true as card from round r" + where.sql
                + " and r.winner is not null and r.end_position is not null"
                + " and not exists (select 1 from round_event e where e.round = r.id)";
        values.addAll(where.values);
        return jdbc.query(
                "select mine, begins, link, position, reaction, intent, outcome, card, count(*) from (" + events
                        + " union all " + cards
                        + ") as said group by mine, begins, link, position, reaction, intent, outcome, card",
                (row, n) -> new Logged(
                        row.getBoolean(1),
                        row.getBoolean(2),
                        row.getString(3),
                        row.getString(4),
                        row.getString(5),
                        Round.Intent.valueOf(row.getString(6)),
                        Round.Outcome.valueOf(row.getString(7)),
                        row.getBoolean(8),
                        row.getInt(9)),
                values.toArray());
    }

    private static String whose(String mine, String who, RoundFilter filter, List<Object> values) {
        if (filter.student() != null) {
            values.add(filter.student());
        }
        return mine.formatted(who);
    }

    /** What {@link Caught#in} says of the rounds that are kept, counted by the database. */
    List<Caught> caught(RoundFilter filter) {
        Where where = new Where(filter);
        return jdbc.query(
                "select end_position, ended_how, end_link, loser, count(*) from (select r.end_position, r.ended_how,"
                        + " r.end_link, case r.winner when 'FIRST' then r.second_student else r.first_student end as loser"
                        + " from round r" + where.sql + " and r.winner is not null and r.ended_how in ("
                        + Sql.marks(Caught.FINISHES.size())
                        + ")) as lost where loser is not null and (cast(? as varchar(80)) is null or loser = ?) group by end_position, ended_how, end_link, loser",
                (row, n) -> new Caught(
                        row.getString(1),
                        Round.How.valueOf(row.getString(2)),
                        row.getString(3),
                        row.getString(4),
                        row.getInt(5)),
                Stream.of(
                                where.values.stream(),
                                Caught.FINISHES.stream().map(Round.How::name),
                                Stream.of(filter.student(), filter.student()))
                        .flatMap(values -> values)
                        .toArray());
    }

    /** How many rounds there are. */
    int number(RoundFilter filter) {
        Where where = new Where(filter);
        return jdbc.queryForObject("select count(*) from round r" + where.sql, Integer.class, where.values.toArray());
    }

    /** Some of many rounds, and how many there are in all. */
    record Page(int total, List<Round> rounds) {}

    /**
     * A page of rounds, the latest first.
     *
     * @param also what is asked besides, and its values
     */
    @Transactional(readOnly = true)
    Page page(RoundFilter filter, RoundsAsked also, int size, int page) {
        Where where = new Where(filter);
        where.and("r.class_id = ?", also.in());
        where.and("r.end_position = ?", also.position());
        where.and("r.end_link = ?", also.link());
        where.and("r.class_id in (select c.id from training_class c where c.track = ?)", also.track());
        if (also.technique() != null) {
            List<String> links = also.links();
            where.sql
                    .append(" and r.end_link in (")
                    .append(Sql.marks(links.size()))
                    .append(")");
            where.values.addAll(links);
        }
        int total =
                jdbc.queryForObject("select count(*) from round r" + where.sql, Integer.class, where.values.toArray());
        List<Object> values = new ArrayList<>(where.values);
        values.add(size);
        values.add((long) size * page);
        List<String> ids = jdbc.queryForList(
                "select r.id from round r" + where.sql
                        + " order by r.at desc, r.round_number desc, r.id limit ? offset ?",
                String.class,
                values.toArray());
        Map<String, Round> found = find(ids);
        return new Page(total, ids.stream().map(found::get).toList());
    }

    /** The conditions of a filter with the values of their marks. */
    private static final class Where {

        private final StringBuilder sql = new StringBuilder(" where true");
        private final List<Object> values = new ArrayList<>();

        private Where(RoundFilter filter) {
            if (filter.student() != null) {
                sql.append(" and (r.first_student = ? or r.second_student = ?)");
                values.add(filter.student());
                values.add(filter.student());
            }
            and("r.at >= ?", filter.from() == null ? null : filter.from().atOffset(ZoneOffset.UTC));
            and("r.at < ?", filter.until() == null ? null : filter.until().atOffset(ZoneOffset.UTC));
            and("r.ruleset = ?", filter.ruleset());
            and("r.kind = ?", filter.kind() == null ? null : filter.kind().name());
        }

        private void and(String condition, Object value) {
            if (value != null) {
                sql.append(" and ").append(condition);
                values.add(value);
            }
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
