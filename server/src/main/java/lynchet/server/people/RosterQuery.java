package lynchet.server.people;

import java.sql.Date;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import lynchet.core.people.Brought;
import lynchet.core.people.Student;
import lynchet.core.rank.Ladder;
import lynchet.format.csv.Roll;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Sql;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who is on the roster, as the database finds them: by name, rank and track, and by what a coach has to keep in mind. */
@Service
class RosterQuery {

    /** More than a screen shows. */
    static final int MOST = 200;

    private static final int ABSENT_WEEKS = 3;
    private static final int BIRTHDAY_DAYS = 30;
    private static final int BAND_WEEKS = 12;
    private static final int OLD_WEIGHT_MONTHS = 6;
    private static final int MEMBERSHIP_DAYS = 14;

    private final JdbcTemplate jdbc;
    private final TeachingSnapshots taught;

    RosterQuery(JdbcTemplate jdbc, TeachingSnapshots taught) {
        this.jdbc = jdbc;
        this.taught = taught;
    }

    /**
     * Whom to list and in which order; what is null is not asked.
     *
     * @param ready ids of those who are ready, where these are asked for
     */
    record Filter(
            @Nullable String find,
            @Nullable String ladder,
            @Nullable String rank,
            @Nullable String track,
            Who who,
            @Nullable Mind mind,
            @Nullable Collection<String> ready,
            Order order,
            boolean down) {}

    /** Who is on the page: people are on exactly one of the three. */
    enum Who {
        TRAINING("s.left_on is null and s.is_guest = false"),
        GUESTS("s.left_on is null and s.is_guest = true"),
        LEFT("s.left_on is not null and s.folded_name <> '" + Roll.fold(Student.ERASED) + "'");

        private final String sql;

        Who(String sql) {
            this.sql = sql;
        }
    }

    /** What a coach has to keep in mind about somebody; what rests on ages, weights, limits and holds is for coaches. */
    enum Mind {
        READY(false),
        ABSENT(false),
        BIRTHDAY(true),
        BAND(true),
        WEIGHT(true),
        MEMBERSHIP(false),
        LIMITED(true),
        HELD(true),
        BROUGHT(true),
        FALLS(true);

        final boolean isForCoaches;

        Mind(boolean isForCoaches) {
            this.isForCoaches = isForCoaches;
        }
    }

    /** What a table of people is sorted by. */
    enum Order {
        NAME,
        SEEN,
        RANK;

        private String sql(List<Ladder> ladders) {
            return switch (this) {
                case NAME -> "s.folded_name";
                case SEEN -> "coalesce(st.last_seen, date '1900-01-01')";
                case RANK -> height(ladders);
            };
        }

        /** Those that lead on to another one lie below it; of the others the club's first is the highest. */
        private static List<Ladder> upwards(List<Ladder> ladders) {
            Map<String, String> next = new HashMap<>();
            ladders.forEach(ladder -> next.put(ladder.id(), ladder.nextLadder()));
            List<Ladder> upwards = new ArrayList<>(ladders);
            Collections.reverse(upwards);
            upwards.sort(Comparator.comparingLong(
                    (Ladder ladder) -> -Stream.iterate(ladder.nextLadder(), Objects::nonNull, next::get)
                            .limit(ladders.size())
                            .count()));
            return upwards;
        }

        /** How far up somebody stands: the ladders one above the other, the ranks, the stripes. Ids are slugs. */
        private static String height(List<Ladder> all) {
            List<Ladder> ladders = upwards(all);
            StringBuilder cases = new StringBuilder();
            for (int i = 0; i < ladders.size(); i++) {
                Ladder ladder = ladders.get(i);
                for (int j = 0; j < ladder.ranks().size(); j++) {
                    cases.append(" when '")
                            .append(ladder.id())
                            .append('/')
                            .append(ladder.ranks().get(j).id())
                            .append("' then ")
                            .append(i * 10_000 + j * 10);
                }
            }
            return cases.isEmpty() // a club without ladders; a bare number would name a column
                    ? "s.folded_name"
                    : "coalesce((select max(case concat(l.ladder, '/', l.rank_id)" + cases
                            + " else 0 end + l.stripes) from student_ladder l where l.student = s.id), -1)";
        }
    }

    /** Ids on a page, and how many there are in all. */
    record FoundIds(long total, List<String> ids) {}

    /** A condition with the values of its marks. */
    private static final class Where {
        private final List<String> all = new ArrayList<>();
        private final List<Object> values = new ArrayList<>();

        private void and(String sql, Object... its) {
            all.add(sql);
            values.addAll(List.of(its));
        }

        @Override
        public String toString() {
            return " where " + String.join(" and ", all);
        }
    }

    /** Those who came with a breakfall that nobody here has looked at. */
    static final String HAS_UNSEEN_FALLS =
            "exists (select 1 from brought_fall f where f.student = s.id and not exists (select 1 from student_mark m"
                    + " where m.student = s.id and m.subject = f.fall and m.played = 'PERFORMER'))";

    private static final String FROM = " from student s left join student_state st on st.student = s.id";

    @Transactional(readOnly = true)
    public FoundIds find(Filter wanted, LocalDate today, int page, int size) {
        if (page < 0 || size < 1 || size > MOST) {
            throw Refusal.bad("PAGE", "size", "Ask for pages of 1 to " + MOST + " people.");
        }
        Where where = where(wanted, today);
        Long total = jdbc.queryForObject("select count(*)" + FROM + where, Long.class, where.values.toArray());
        String down = wanted.down() ? " desc" : "";
        where.values.add(size);
        where.values.add((long) page * size);
        List<String> ids = jdbc.queryForList(
                "select s.id" + FROM + where + " order by "
                        + wanted.order().sql(taught.now().ladders()) + down + ", s.folded_name" + down
                        + ", s.id limit ? offset ?",
                String.class,
                where.values.toArray());
        return new FoundIds(total, ids);
    }

    /** How many of those who train here there are of each; those who are ready are counted elsewhere. */
    @Transactional(readOnly = true)
    public Map<Mind, Integer> counts(LocalDate today, boolean open) {
        Map<Mind, Integer> counts = new EnumMap<>(Mind.class);
        for (Mind mind : Mind.values()) {
            if (mind != Mind.READY && !(open && mind.isForCoaches)) {
                Where where =
                        where(new Filter(null, null, null, null, Who.TRAINING, mind, null, Order.NAME, false), today);
                counts.put(
                        mind,
                        jdbc.queryForObject("select count(*)" + FROM + where, Integer.class, where.values.toArray()));
            }
        }
        return counts;
    }

    private Where where(Filter wanted, LocalDate today) {
        Where where = new Where();
        where.and(wanted.who().sql);
        if (wanted.find() != null && !wanted.find().isBlank()) {
            String text = Roll.fold(wanted.find());
            where.and(
                    "(s.folded_name like ? escape '!' or s.card = ?)",
                    "%" + text.replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%",
                    text);
        }
        if (wanted.ladder() != null && wanted.rank() == null) {
            where.and(
                    "exists (select 1 from student_ladder l where l.student = s.id and l.ladder = ?)", wanted.ladder());
        } else if (wanted.ladder() != null) {
            where.and(
                    "exists (select 1 from student_ladder l where l.student = s.id and l.ladder = ? and l.rank_id = ?)",
                    wanted.ladder(),
                    wanted.rank());
        }
        if (wanted.track() != null) {
            where.and(
                    "exists (select 1 from points_at p where p.part = 'people' and p.thing = s.id"
                            + " and p.target = 'TRACK' and p.pointed = ?)",
                    wanted.track());
        }
        if (wanted.mind() != null) {
            mind(where, wanted, today);
        }
        return where;
    }

    private void mind(Where where, Filter wanted, LocalDate today) {
        switch (wanted.mind()) {
            case READY -> {
                Collection<String> ready = wanted.ready();
                where.and(ready.isEmpty() ? "false" : "s.id in (" + Sql.marks(ready.size()) + ")", ready.toArray());
            }
            case ABSENT ->
                where.and(
                        "coalesce(st.last_seen, s.joined) < ? and s.joined < ?",
                        Date.valueOf(today.minusWeeks(ABSENT_WEEKS)),
                        Date.valueOf(today.minusWeeks(ABSENT_WEEKS)));
            case BIRTHDAY -> {
                LocalDate last = today.plusDays(BIRTHDAY_DAYS);
                String both = today.getYear() == last.getYear() ? " and " : " or ";
                where.and("(s.birthday >= ?" + both + "s.birthday <= ?)", ofYear(today), ofYear(last));
            }
            case BAND -> band(where, today.plusWeeks(BAND_WEEKS));
            case WEIGHT ->
                where.and("(s.weighed is null or s.weighed < ?)", Date.valueOf(today.minusMonths(OLD_WEIGHT_MONTHS)));
            case MEMBERSHIP -> where.and("s.member_until < ?", Date.valueOf(today.plusDays(MEMBERSHIP_DAYS)));
            case LIMITED -> where.and("s.limited_until >= ?", Date.valueOf(today));
            case HELD -> where.and("s.is_held = true");
            case BROUGHT -> brought(where);
            case FALLS -> where.and(HAS_UNSEEN_FALLS);
        }
    }

    /** Those who came with a rank below which something is asked, and of whom nobody said yet whether they have it. */
    private void brought(Where where) {
        List<Object> ranks = new ArrayList<>();
        for (Ladder ladder : taught.now().ladders()) {
            ladder.ranks().stream()
                    .filter(rank -> Brought.isAskedBelow(ladder, rank.id()))
                    .forEach(rank -> ranks.add(ladder.id() + "/" + rank.id()));
        }
        where.and(
                ranks.isEmpty()
                        ? "false"
                        : "exists (select 1 from student_ladder l where l.student = s.id and l.from_before = true"
                                + " and concat(l.ladder, '/', l.rank_id) in (" + Sql.marks(ranks.size()) + ")"
                                + " and not exists (select 1 from brought b where b.student = s.id"
                                + " and b.ladder = l.ladder and b.answer <> 'ASKED'))",
                ranks.toArray());
    }

    private static int ofYear(LocalDate day) {
        return day.getMonthValue() * 100 + day.getDayOfMonth();
    }

    /** Those who will have outgrown a ladder on a day. */
    private void band(Where where, LocalDate day) {
        List<String> any = new ArrayList<>();
        List<Object> values = new ArrayList<>();
        for (Ladder ladder : taught.now().ladders()) {
            if (ladder.toAge() > 0) {
                any.add(
                        "(s.born <= ? and exists (select 1 from student_ladder l where l.student = s.id and l.ladder = ?))");
                values.add(Date.valueOf(day.minusYears(ladder.toAge())));
                values.add(ladder.id());
            }
        }
        where.and(any.isEmpty() ? "false" : "(" + String.join(" or ", any) + ")", values.toArray());
    }
}
