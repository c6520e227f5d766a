package lynchet.server.round;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.map.GrapplingMap;
import lynchet.core.round.Round;
import lynchet.core.round.RoundEvidence;
import lynchet.server.keep.PartStore;
import lynchet.server.keep.Remembered;
import lynchet.server.keep.Sql;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the rounds, and what they say of the map. */
@Service
public class RoundStore extends PartStore<Round, RoundRow> {

    private record Known(GrapplingMap map, List<RoundEvidence.LinkTally> tallies, RoundEvidence evidence) {}

    private final JdbcTemplate jdbc;
    private final Remembered<List<RoundEvidence.LinkTally>> tallies = new Remembered<>();
    private volatile Known known;

    RoundStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, Parts.ROUNDS, RoundRow.class, RoundRow::new);
        this.jdbc = jdbc;
    }

    /** How well the links of this map work; worked out anew when the map or a round has changed. */
    public RoundEvidence evidence(GrapplingMap map) {
        List<RoundEvidence.LinkTally> now = tallies.get(this::tally);
        Known so = known;
        if (so == null || so.map() != map || so.tallies() != now) {
            so = new Known(map, now, RoundEvidence.of(map, now));
            known = so;
        }
        return so.evidence();
    }

    private List<RoundEvidence.LinkTally> tally() {
        return jdbc.query(
                "select link, count(*), sum(case outcome when 'WORKED' then 1.0 when 'PARTIAL' then 0.5 else 0.0 end)"
                        + " from round_event where link is not null and intent = 'TRY' group by link order by link",
                (row, n) -> new RoundEvidence.LinkTally(row.getString(1), row.getInt(2), row.getDouble(3)));
    }

    @Override
    public void add(List<Round> things) {
        tallies.changed();
        super.add(things);
    }

    @Override
    public void change(List<Round> things) {
        tallies.changed();
        super.change(things);
    }

    @Override
    public void remove(Collection<String> ids) {
        tallies.changed();
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
