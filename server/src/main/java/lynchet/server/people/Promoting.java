package lynchet.server.people;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lynchet.core.club.Parts;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Promotion;
import lynchet.core.people.PromotionBuilder;
import lynchet.core.people.Readiness;
import lynchet.core.people.StandingThen;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Journal;
import lynchet.server.keep.PersonOf;
import lynchet.server.keep.Refusal;
import lynchet.server.mat.StudentStates;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Belts and stripes: given, taken back until they are announced, corrected afterwards. Each keeps who, when, the verdict and its
 * figures of that moment. To be run in turn: two head coaches must not give from what only one of them has seen.
 */
@Service
public class Promoting {

    /** How long something given shows on the board. */
    private static final int LATELY = 60;

    private final People people;
    private final PromotionStore promotions;
    private final Roster roster;
    private final StudentStates states;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final Journal journal;
    private final PersonOf persons;
    private final Clock clock;

    Promoting(
            People people,
            PromotionStore promotions,
            Roster roster,
            StudentStates states,
            TeachingSnapshots taught,
            ReferenceCheck known,
            Journal journal,
            PersonOf persons,
            Clock clock) {
        this.people = people;
        this.promotions = promotions;
        this.roster = roster;
        this.states = states;
        this.taught = taught;
        this.known = known;
        this.journal = journal;
        this.persons = persons;
        this.clock = clock;
    }

    /** What was given on a ladder lately. */
    public List<Promotion> lately(String ladder) {
        return HeldRank.standing(promotions.lately(ladder, people.today().minusDays(LATELY)));
    }

    /** Gives a belt or a stripe; the same one sent again is the first answer. */
    @Transactional
    public Promotion give(Promotion given) {
        Optional<Promotion> kept = promotions.find(given.id());
        if (kept.isPresent()) {
            if (!given.stampedLike(kept.get()).equals(kept.get())) {
                throw Refusal.taken(given.id(), "Something else was already recorded under this id.");
            }
            return kept.get();
        }
        persons.judges(given.student());
        known.check(Parts.PROMOTIONS, given);
        if (given.corrects() != null) {
            throw Refusal.bad("CORRECTION", "/corrects", "A correction is made at the promotion that it corrects.");
        }
        if (given.fromBefore()) {
            notTwice(given);
        } else {
            sound(given, held(given.student(), given.ladder()));
        }
        Optional<Readiness> stands = judged(given);
        boolean isAgainst = stands.filter(Readiness::wantsReason)
                .filter(readiness -> !readiness.rank().equals(given.to()))
                .isPresent();
        if (isAgainst && given.reason().isBlank()) {
            throw Refusal.bad(
                    "REASON_MISSING",
                    "/reason",
                    "Not everything that is asked for this rank is there yet. Say why it is given all the same.");
        }
        return keep(given, stands);
    }

    /** What somebody came with is written down once. */
    private void notTwice(Promotion given) {
        boolean isThere = HeldRank.standing(promotions.of(given.student())).stream()
                .anyMatch(one -> one.ladder().equals(given.ladder())
                        && one.to().equals(given.to())
                        && one.stripes() == given.stripes());
        if (isThere) {
            throw Refusal.bad(
                    "HELD_ALREADY", "/to", "That they hold this rank, with as many stripes, is written down already.");
        }
    }

    /** Stripes for several people, all of them or none. */
    @Transactional
    public List<Promotion> stripes(String ladder, LocalDate day, List<Striped> to) {
        List<Promotion> all = new ArrayList<>();
        for (Striped one : to) {
            HeldRank held = held(one.student(), ladder)
                    .orElseThrow(() -> Refusal.bad(
                            "NO_RANK", "/given", people.one(one.student()).name() + " holds no rank on this ladder."));
            all.add(give(PromotionBuilder.builder()
                    .id(one.id())
                    .student(one.student())
                    .ladder(ladder)
                    .from(held.rank())
                    .to(held.rank())
                    .stripes(held.stripes() + 1)
                    .date(day)
                    .build()));
        }
        return all;
    }

    /** Somebody who is given the next stripe, and the id under which it is kept. */
    public record Striped(String id, String student) {
        public Striped {
            Require.id("a promotion", id);
            Require.present("the student of this promotion", student);
        }
    }

    /** Takes one back that was not announced yet, and that nothing was given upon. */
    @Transactional
    public Promotion takeBack(String id) {
        Promotion given = promotions.find(id).orElseThrow(() -> Refusal.missing("promotion", id));
        persons.judges(given.student());
        if (given.announced() != null || given.fromBefore()) {
            throw Refusal.bad("ANNOUNCED", "/id", "It was announced. Correct it instead; the history keeps both.");
        }
        List<Promotion> all = promotions.of(given.student()).stream()
                .filter(one -> one.ladder().equals(given.ladder()))
                .toList();
        if (all.stream().anyMatch(one -> id.equals(one.corrects()))) {
            throw Refusal.bad("CORRECTED_ALREADY", "/id", "It was corrected; take that one back first.");
        }
        if (!all.get(all.size() - 1).id().equals(id)) {
            throw Refusal.bad("NOT_THE_LAST", "/id", "Something was given after it; take that back first.");
        }
        promotions.remove(List.of(id));
        journal.write("remove", "promotion", id, given, null);
        states.recount(List.of(given.student()));
        return given;
    }

    /**
     * What was meant instead of something that was announced.
     *
     * @param to the rank that was meant; that held before, where none was
     */
    public record Meant(
            String id,
            String to,
            int stripes,
            LocalDate date,
            @Most(300) String reason) {
        public Meant {
            Require.id("a promotion", id);
            Require.present("the rank of this promotion", to);
            Require.present("the day of this promotion", date);
        }
    }

    /** Puts another one in the place of one that was announced; both stay in the history. */
    @Transactional
    public Promotion correct(String id, Meant meant) {
        Promotion before = promotions.find(id).orElseThrow(() -> Refusal.missing("promotion", id));
        persons.judges(before.student());
        if (meant.reason() == null || meant.reason().isBlank()) {
            throw Refusal.bad("REASON_MISSING", "/reason", "Say what was wrong.");
        }
        Promotion corrected = PromotionBuilder.builder()
                .id(meant.id())
                .student(before.student())
                .ladder(before.ladder())
                .from(before.from())
                .to(meant.to())
                .stripes(meant.stripes())
                .date(meant.date())
                .fromBefore(before.fromBefore())
                .verdict(before.verdict())
                .figures(before.figures())
                .reason(meant.reason())
                .grading(before.grading())
                .announced(before.announced())
                .corrects(id)
                .build();
        Optional<Promotion> kept = promotions.find(meant.id());
        if (kept.isPresent()) {
            if (!corrected.stampedLike(kept.get()).equals(kept.get())) {
                throw Refusal.taken(meant.id(), "Something else was already recorded under this id.");
            }
            return kept.get();
        }
        if (promotions.of(before.student()).stream().anyMatch(one -> id.equals(one.corrects()))) {
            throw Refusal.bad("CORRECTED_ALREADY", "/id", "It was corrected already; correct that one.");
        }
        known.check(Parts.PROMOTIONS, corrected);
        dated(corrected);
        fits(corrected);
        Promotion stamped = corrected.stamped(
                before.verdict(), before.figures(), clock.instant().truncatedTo(ChronoUnit.MILLIS), Journal.who());
        promotions.add(List.of(stamped));
        states.recount(List.of(before.student()));
        return stamped;
    }

    /** Says these aloud: from now on they are corrected, not taken back. */
    @Transactional
    public List<Promotion> announce(List<String> ids) {
        LocalDate today = people.today();
        List<Promotion> all = new ArrayList<>();
        for (String id : ids) {
            Promotion given = promotions.find(id).orElseThrow(() -> Refusal.missing("promotion", id));
            Promotion said = given.announced() == null ? given.announcedOn(today) : given;
            if (given.announced() == null) {
                promotions.change(List.of(said));
                journal.write("change", "promotion", id, given, said);
            }
            all.add(said);
        }
        return all;
    }

    private Promotion keep(Promotion given, Optional<Readiness> stands) {
        Promotion stamped = given.announcedOn(null)
                .stamped(
                        stands.map(Readiness::verdict).orElse(null),
                        stands.map(Readiness::figures).orElse(List.of()),
                        clock.instant().truncatedTo(ChronoUnit.MILLIS),
                        Journal.who());
        promotions.add(List.of(stamped));
        states.recount(List.of(given.student()));
        return stamped;
    }

    private Optional<HeldRank> held(String student, String ladder) {
        return Optional.ofNullable(HeldRank.of(promotions.of(student)).get(ladder));
    }

    private void sound(Promotion given, Optional<HeldRank> held) {
        dated(given);
        Ladder ladder = fits(given);
        String rank = held.map(HeldRank::rank).orElse(null);
        if (!java.util.Objects.equals(rank, given.from())) {
            throw Refusal.of(
                    HttpStatus.CONFLICT,
                    "HELD_CHANGED",
                    "/from",
                    rank == null
                            ? "They hold no rank on this ladder. Nothing was given."
                            : "They hold " + name(ladder, rank) + " since "
                                    + held.get().since() + by(given) + ". Look again; nothing was given.");
        }
        if (held.isEmpty()) {
            return;
        }
        LocalDate last = HeldRank.standing(promotions.of(given.student())).stream()
                .filter(one -> one.ladder().equals(given.ladder()))
                .map(Promotion::date)
                .max(LocalDate::compareTo)
                .orElseThrow();
        if (given.date().isBefore(last)) {
            throw Refusal.bad(
                    "BEFORE_THE_LAST", "/date", "Something was given on " + last + " already, after that day.");
        }
        boolean isSame = given.to().equals(rank);
        if (isSame && given.stripes() == held.get().stripes()) {
            throw Refusal.bad("HELD_ALREADY", "/to", "They hold that already, with as many stripes.");
        }
        boolean isDown = ladder.indexOf(given.to()) < ladder.indexOf(rank)
                || isSame && given.stripes() < held.get().stripes();
        if (isDown && given.reason().isBlank()) {
            throw Refusal.bad("REASON_MISSING", "/reason", "That is below what they hold. Say why.");
        }
    }

    /** Who gave the last one, for the person who gives at the same time. */
    private String by(Promotion given) {
        return promotions.of(given.student()).stream()
                .filter(one -> one.ladder().equals(given.ladder()) && one.by() != null)
                .reduce((first, second) -> second)
                .map(last -> ", given by " + last.by())
                .orElse("");
    }

    private static String name(Ladder ladder, String rank) {
        return ladder.rank(rank).map(Rank::name).orElse(rank);
    }

    private void dated(Promotion given) {
        LocalDate joined = people.one(given.student()).joined();
        if (!given.fromBefore() && given.date().isBefore(joined)) {
            throw Refusal.bad("BEFORE_JOINING", "/date", "They joined on " + joined + ", after that day.");
        }
        if (given.date().isAfter(people.today())) {
            throw Refusal.bad("NOT_YET", "/date", "The day " + given.date() + " has not come yet.");
        }
    }

    private Ladder fits(Promotion given) {
        Ladder ladder = taught.now().ladder(given.ladder());
        Rank to = ladder.rank(given.to()).orElseThrow();
        if (given.stripes() > to.stripes()) {
            throw Refusal.bad(
                    "STRIPES_MANY",
                    "/stripes",
                    to.name() + " carries " + to.stripes() + " stripes, not " + given.stripes() + ".");
        }
        return ladder;
    }

    /** How somebody stands on each of their ladders at this moment, as it is kept with a decision. */
    public List<StandingThen> stands(String student) {
        return roster.of(List.of(student), people.today(), Readiness.Eyes.COACH).get(0).readiness().stream()
                .map(StandingThen::of)
                .toList();
    }

    /** How the student stands on that ladder at this moment; empty for a first rank and one from before. */
    private Optional<Readiness> judged(Promotion given) {
        return given.fromBefore()
                ? Optional.empty()
                : roster.of(List.of(given.student()), people.today(), Readiness.Eyes.COACH).get(0).readiness().stream()
                        .filter(readiness -> readiness.ladder().equals(given.ladder()))
                        .findFirst();
    }
}
