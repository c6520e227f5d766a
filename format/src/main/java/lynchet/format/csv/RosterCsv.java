package lynchet.format.csv;

import java.io.OutputStream;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Lead;
import lynchet.core.people.Student;
import lynchet.core.people.StudentBuilder;
import lynchet.core.rank.Ladder;
import lynchet.core.rule.Limits;

/**
 * The roster as a sheet: who they are, what they hold, where they train. No health, no contacts, no notes.
 *
 * <p>Somebody is recognised by id, then by card, then by name and birth date. An empty cell leaves what is there.
 */
public final class RosterCsv {

    private static final List<String> COLUMNS = List.of(
            "id",
            "name",
            "called_by",
            "card",
            "born",
            "joined",
            "left",
            "weight_kg",
            "height_cm",
            "lead",
            "ladder",
            "rank",
            "stripes",
            "rank_since",
            "tracks",
            "prior_classes",
            "member_until",
            "belt_size");

    private final Roll roll;
    private final List<Ladder> ladders;
    private final Set<String> tracks;
    private final Supplier<String> newIds;
    private final LocalDate today;
    private final Set<String> takenIds = new HashSet<>();
    private final Map<String, Long> seenStudents = new HashMap<>();
    private final Map<String, Long> seenNew = new HashMap<>();
    private final Map<String, Long> seenCards = new HashMap<>();

    private RosterCsv(Roll roll, List<Ladder> ladders, Set<String> tracks, Supplier<String> newIds, LocalDate today) {
        this.roll = roll;
        this.ladders = ladders;
        this.tracks = tracks;
        this.newIds = newIds;
        this.today = today;
    }

    /** Everybody as they come, one line each; of several ladders the first. */
    public static void write(OutputStream out, Consumer<Consumer<Member>> people) {
        try (Lines lines = new Lines(out, COLUMNS)) {
            people.accept(
                    member -> lines.line(cells(member, member.held().stream().findFirst())));
        }
    }

    private static Object[] cells(Member member, Optional<HeldRank> shown) {
        Student s = member.student();
        HeldRank held = shown.orElse(null);
        return new Object[] {
            s.id(),
            s.name(),
            s.calledBy(),
            s.card(),
            s.born(),
            s.joined(),
            s.left(),
            s.weightKg(),
            s.heightCm(),
            s.lead().name().toLowerCase(Locale.ROOT),
            held == null ? null : held.ladder(),
            held == null ? null : held.rank(),
            held == null ? null : held.stripes(),
            held == null ? null : held.since(),
            String.join(" ", s.tracks()),
            s.priorClasses(),
            s.memberUntil(),
            s.beltSize()
        };
    }

    /**
     * What taking in this sheet would do.
     *
     * @param newIds makes an id for somebody new whose line gives none; it says nothing about them
     * @param dates how dates are written; null: recognise it
     * @param today day on which somebody new without a date joins
     * @throws lynchet.format.ArchiveRefused if it is no such sheet
     */
    public static Plan<Member> plan(
            byte[] csv,
            Roll roll,
            List<Ladder> ladders,
            Set<String> tracks,
            Supplier<String> newIds,
            String dates,
            LocalDate today) {
        Sheet sheet = Sheet.read(csv, Set.of("name"));
        Dates written = DateColumns.of(sheet, dates, "born", "joined", "left", "rank_since", "member_until");
        RosterCsv roster = new RosterCsv(roll, ladders, tracks, newIds, today);
        Plan.Maker<Member> maker = new Plan.Maker<>();
        for (Sheet.Row row : sheet.rows()) {
            roster.line(maker, row, new Cells(row, written));
        }
        return maker.plan(sheet, written, new HashSet<>(COLUMNS));
    }

    private void line(Plan.Maker<Member> maker, Sheet.Row row, Cells cells) {
        String about = row.cell("name").orElse("");
        maker.reading(row.line(), about, () -> {
            Optional<Member> known = known(cells);
            if (known.isPresent()) {
                String id = known.get().student().id();
                twice(seenStudents, id, row.line());
                Member after = made(cells, known.get(), id);
                card(after.student(), id, row.line());
                String changes = changes(known.get(), after);
                if (changes.isEmpty()) {
                    maker.same(row.line(), about);
                } else {
                    maker.change(row.line(), about, after, changes);
                }
            } else {
                Member fresh = made(cells, null, newId(cells));
                Student student = fresh.student();
                twice(seenNew, Roll.fold(student.name()) + " " + student.born(), row.line());
                card(student, null, row.line());
                takenIds.add(student.id());
                maker.add(row.line(), about, fresh);
            }
        });
    }

    private Optional<Member> known(Cells cells) {
        Optional<Member> byId = cells.text("id").flatMap(roll::byId);
        if (byId.isPresent()) {
            return byId;
        }
        Optional<Member> byCard = cells.text("card").flatMap(roll::byCard);
        if (byCard.isPresent()) {
            return byCard.filter(m -> Roll.fold(m.student().name()).equals(Roll.fold(cells.needed("name"))));
        }
        List<Member> named = roll.named(cells.needed("name"));
        Optional<LocalDate> born = cells.date("born");
        List<Member> fitting = named.stream()
                .filter(m -> born.isEmpty()
                        || m.student().born() == null
                        || m.student().born().equals(born.get()))
                .toList();
        if (fitting.size() > 1) {
            throw new BadLine("there are " + fitting.size() + " people of that name; give the id or the birth date");
        }
        return fitting.stream().findFirst();
    }

    private void twice(Map<String, Long> seen, String key, long line) {
        Long before = seen.putIfAbsent(key, line);
        if (before != null) {
            throw new BadLine("the same person as on line " + before);
        }
    }

    private void card(Student after, String id, long line) {
        if (after.card() == null) {
            return;
        }
        roll.byCard(after.card()).map(Member::student).ifPresent(owner -> {
            if (!owner.id().equals(id)) {
                throw new BadLine("card " + after.card() + " belongs to " + owner.name());
            }
        });
        Long other = seenCards.putIfAbsent(after.card(), line);
        if (other != null) {
            throw new BadLine("card " + after.card() + " is on line " + other + " too");
        }
    }

    private Member made(Cells c, Member before, String id) {
        Student was = before == null ? null : before.student();
        LocalDate joined = c.date("joined").orElse(was == null ? today : was.joined());
        Optional<Double> weight = c.number("weight_kg");
        boolean reweighed = weight.isPresent() && (was == null || !weight.get().equals(was.weightKg()));
        Student student = StudentBuilder.builder()
                .id(id)
                .name(c.needed("name"))
                .calledBy(c.text("called_by").orElse(was == null ? null : was.calledBy()))
                .card(c.text("card").orElse(was == null ? null : was.card()))
                .born(c.date("born").orElse(was == null ? null : was.born()))
                .joined(joined)
                .left(c.date("left").orElse(was == null ? null : was.left()))
                .guest(was == null ? null : was.guest())
                .weightKg(weight.orElse(was == null ? null : was.weightKg()))
                .weighed(reweighed ? today : was == null ? null : was.weighed())
                .heightCm(c.whole("height_cm").orElse(was == null ? null : was.heightCm()))
                .lead(c.oneOf("lead", Lead.class).orElse(was == null ? Lead.RIGHT : was.lead()))
                .tracks(trainsIn(c).orElse(was == null ? List.of() : was.tracks()))
                .priorClasses(c.whole("prior_classes").orElse(was == null ? 0 : was.priorClasses()))
                .memberUntil(c.date("member_until").orElse(was == null ? null : was.memberUntil()))
                .contacts(was == null ? null : was.contacts())
                .holds(was == null ? null : was.holds())
                .restrictions(was == null ? null : was.restrictions())
                .keepApart(was == null ? null : was.keepApart())
                .notes(was == null ? null : was.notes())
                .consents(was == null ? null : was.consents())
                .beltSize(c.text("belt_size").orElse(was == null ? null : was.beltSize()))
                .prefers(was == null ? null : was.prefers())
                .build();
        return new Member(Limits.kept(student), ranks(c, before, joined));
    }

    private List<HeldRank> ranks(Cells c, Member was, LocalDate joined) {
        List<HeldRank> held = new ArrayList<>(was == null ? List.of() : was.held());
        Optional<String> rank = c.text("rank");
        if (rank.isEmpty()) {
            return held;
        }
        Optional<String> named = c.text("ladder");
        Ladder ladder = ladders.stream()
                .filter(l -> named.isEmpty()
                        || l.id().equals(named.get())
                        || l.name().equalsIgnoreCase(named.get()))
                .filter(l -> l.ranks().stream().anyMatch(r -> fits(r, rank.get())))
                .findFirst()
                .orElseThrow(() -> new BadLine("there is no rank " + rank.get()
                        + named.map(n -> " on the ladder " + n).orElse("")));
        String rankId = ladder.ranks().stream()
                .filter(r -> fits(r, rank.get()))
                .findFirst()
                .orElseThrow()
                .id();
        HeldRank before = held.stream()
                .filter(h -> h.ladder().equals(ladder.id()))
                .findFirst()
                .orElse(null);
        boolean sameRank = before != null && before.rank().equals(rankId);
        LocalDate since = c.date("rank_since").orElse(sameRank ? before.since() : before == null ? joined : today);
        if (sameRank && !before.fromBefore() && !since.equals(before.since())) {
            throw new BadLine(
                    "the rank " + rankId + " was given on " + before.since() + "; a sheet does not change that");
        }
        if (before != null && !sameRank && since.isBefore(before.since())) {
            throw new BadLine("the rank " + before.rank() + " was given later, on " + before.since());
        }
        HeldRank after = new HeldRank(
                ladder.id(),
                rankId,
                c.whole("stripes").orElse(sameRank ? before.stripes() : 0),
                since,
                before == null || sameRank && before.fromBefore());
        if (before == null) {
            held.add(after);
        } else {
            held.set(held.indexOf(before), after);
        }
        return held;
    }

    private static boolean fits(lynchet.core.rank.Rank rank, String text) {
        return rank.id().equals(text) || rank.name().equalsIgnoreCase(text);
    }

    private Optional<List<String>> trainsIn(Cells c) {
        return c.text("tracks").map(text -> Stream.of(text.split("[\\s,;/]+"))
                .map(track -> track.toLowerCase(Locale.ROOT))
                .peek(track -> {
                    if (!tracks.contains(track)) {
                        throw new BadLine("there is no track " + track);
                    }
                })
                .distinct()
                .toList());
    }

    private String newId(Cells cells) {
        Optional<String> given = cells.text("id");
        if (given.isPresent() && takenIds.contains(given.get())) {
            throw new BadLine("the id " + given.get() + " is on another line too");
        }
        return given.orElseGet(newIds);
    }

    /** The changes in words: "card 4007 to 4009, weight_kg 64 to 66". */
    private static String changes(Member before, Member after) {
        Optional<HeldRank> given = after.held().stream()
                .filter(held -> !before.held().contains(held))
                .findFirst();
        Object[] was = cells(before, given.flatMap(held -> before.heldOn(held.ladder())));
        Object[] is = cells(after, given);
        return IntStream.range(0, COLUMNS.size())
                .filter(i -> !Objects.equals(was[i], is[i]))
                .mapToObj(i -> COLUMNS.get(i) + " " + said(was[i]) + " to " + said(is[i]))
                .collect(Collectors.joining(", "));
    }

    private static String said(Object cell) {
        return cell == null || cell.equals("") ? "none" : cell instanceof Double d ? plain(d) : cell.toString();
    }

    private static String plain(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }
}
