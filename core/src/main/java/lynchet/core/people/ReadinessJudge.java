package lynchet.core.people;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rule.Phrases;

/** Looks at one student on one ladder: collects the conditions one after the other, then gives the verdict. */
final class ReadinessJudge {

    private final Readiness.Question asked;
    private final Student student;
    private final Ladder ladder;
    private final GrapplingMap map;
    private final LocalDate today;
    private final LadderCount count;
    private final HeldRank held;
    private final Rank rank;
    private final List<Condition> conditions = new ArrayList<>();

    ReadinessJudge(Readiness.Question asked, LadderCount count) {
        this.asked = asked;
        this.student = asked.student();
        this.ladder = asked.ladder();
        this.map = asked.map();
        this.today = asked.today();
        this.count = count;
        this.held = count.held();
        this.rank = ladder.rank(held.rank()).orElseThrow();
    }

    Readiness judge() {
        Projection.Answer told = project(need() - since());
        if (need() > 0) {
            add(
                    Condition.Code.CLASSES,
                    "Classes since " + rank.name(),
                    since() >= need(),
                    since() + "",
                    need() + "",
                    Phrases.count(need() - since(), "class", "classes") + " to go",
                    told.median().orElse(null));
        }
        timeAndAge();
        syllabus();
        falls();
        seen();
        limitsAndMembership();
        LocalDate window = window();
        return new Readiness(
                student.id(),
                ladder.id(),
                rank.id(),
                next().map(Rank::id).orElse(null),
                verdict(next().isPresent(), window),
                List.copyOf(conditions),
                told.projection(),
                told.silence(),
                window,
                stripe(since()),
                0);
    }

    boolean isReadyWithSyllabus() {
        timeAndAge();
        seen();
        limitsAndMembership();
        return next().isPresent() && since() >= need() && conditions.stream().allMatch(Condition::met);
    }

    private Optional<Rank> next() {
        return ladder.after(rank.id());
    }

    private int since() {
        int seminars = ladder.policy().seminars() ? asked.besides().seminars() : 0;
        return count.classes() + seminars + (held.fromBefore() ? student.priorClasses() : 0);
    }

    private int need() {
        return ladder.policy().classesForRank(rank);
    }

    private boolean seesAll() {
        return asked.eyes() == Readiness.Eyes.COACH;
    }

    private void timeAndAge() {
        timeInRank();
        next().filter(rankAbove -> seesAll()).ifPresent(this::age);
    }

    private void limitsAndMembership() {
        if (seesAll()) {
            holdsAndLimits();
        }
        membership();
    }

    private Projection.Answer project(int toGo) {
        return Projection.of(toGo, asked.recent(), count.classes(), student.joined(), asked.pace(), today);
    }

    private Readiness.Stripe stripe(int since) {
        if (ladder.policy().stripes() != Policy.Stripes.BY_CLASSES || held.stripes() >= rank.stripes()) {
            return null;
        }
        int need = ladder.policy().classesPerStripe() * (held.stripes() + 1);
        Projection.Answer told = project(need - since);
        return new Readiness.Stripe(held.stripes() + 1, since >= need, since, need, told.projection(), told.silence());
    }

    private void timeInRank() {
        if (rank.minWeeks() == 0) {
            return;
        }
        LocalDate due = held.since().plusWeeks(rank.minWeeks());
        long weeks = ChronoUnit.WEEKS.between(held.since(), today);
        add(
                Condition.Code.TIME_IN_RANK,
                "Time in rank",
                !today.isBefore(due),
                weeks + " weeks",
                rank.minWeeks() + " weeks",
                Phrases.count((int) Math.ceil(ChronoUnit.DAYS.between(today, due) / 7.0), "week", "weeks") + " to go",
                due);
    }

    private void age(Rank next) {
        if (next.minAge() == 0) {
            return;
        }
        Optional<Integer> age = student.ageOn(today);
        add(
                Condition.Code.AGE,
                "Age for " + next.name(),
                age.filter(a -> a >= next.minAge()).isPresent(),
                age.map(a -> a + "").orElse("unknown"),
                next.minAge() + "",
                age.isEmpty() ? "the birth date is not known" : "too young until the birthday",
                age.map(a -> student.born().plusYears(next.minAge())).orElse(null));
    }

    private void syllabus() {
        for (Progress.GroupProgress group : new Progress(asked.state(), map).of(rank, today)) {
            List<String> open = group.items().stream()
                    .filter(item -> !item.met())
                    .map(item -> name(item.item()) + " (" + item.missing() + ")")
                    .toList();
            String missing = group.met() >= group.needed()
                    ? ""
                    : group.needed() - group.met() + " more: "
                            + String.join(", ", open.subList(0, Math.min(4, open.size())))
                            + (open.size() > 4 ? " and " + (open.size() - 4) + " more" : "");
            add(
                    Condition.Code.SYLLABUS,
                    group.name(),
                    group.allMet(),
                    group.met() + "",
                    group.needed() + "",
                    missing,
                    null);
        }
    }

    private String name(Item item) {
        return Ladder.techniqueOf(item, map)
                .or(() -> Optional.ofNullable(item.ref()))
                .flatMap(map::technique)
                .map(Technique::name)
                .or(() -> Optional.ofNullable(asked.chains().get(item.subject())))
                .orElse(item.words() == null ? item.subject() : item.words());
    }

    private void falls() {
        Progress progress = new Progress(asked.state(), map);
        int needed = progress.falls(rank).size();
        List<String> open = progress.openFalls(rank).stream()
                .map(fall -> map.technique(fall).orElseThrow().name())
                .toList();
        if (needed > 0) {
            add(
                    Condition.Code.FALLS,
                    "Receiver's falls",
                    open.isEmpty(),
                    needed - open.size() + "",
                    needed + "",
                    "to be passed: " + String.join(", ", open),
                    null);
        }
    }

    /** A chart or conduct that a policy asks for: seen since the rank was given. */
    private void seen() {
        if (ladder.policy().chart()) {
            seen(Condition.Code.CHART, "Home chart", asked.besides().chart());
        }
        if (ladder.policy().conduct()) {
            seen(Condition.Code.CONDUCT, "Conduct", asked.besides().conduct());
        }
    }

    private void seen(Condition.Code code, String label, LocalDate on) {
        boolean isSeen = on != null && !on.isBefore(held.since());
        add(code, label, isSeen, isSeen ? "seen " + on : "not seen", "seen", "a coach has not seen it", null);
    }

    private void membership() {
        if (student.memberUntil() != null) {
            add(
                    Condition.Code.MEMBERSHIP,
                    "Membership",
                    !student.memberUntil().isBefore(today),
                    student.memberUntil().toString(),
                    "valid",
                    "ran out",
                    null);
        }
    }

    private void holdsAndLimits() {
        student.holds().stream()
                .filter(hold -> hold.standsOn(today))
                .findFirst()
                .ifPresent(hold -> add(Condition.Code.NO_HOLD, "No hold", false, "held", "none", hold.reason(), null));
        student.restrictions().stream()
                .filter(r -> r.holdsOn(today))
                .findFirst()
                .ifPresent(r -> add(
                        Condition.Code.NO_RESTRICTION,
                        "No restriction",
                        false,
                        "restricted",
                        "none",
                        r.kind().words(),
                        r.until() == null ? null : r.until().plusDays(1)));
    }

    private LocalDate window() {
        LocalDate ready = today;
        for (Condition condition : conditions) {
            if (!condition.met()) {
                if (condition.by() == null) {
                    return null;
                }
                ready = condition.by().isAfter(ready) ? condition.by() : ready;
            }
        }
        LocalDate window = firstWindow(ready);
        return Projection.isTooFar(window, today) ? null : window;
    }

    private LocalDate firstWindow(LocalDate day) {
        LocalDate window = ladder.policy().window(day);
        return window.isAfter(day) ? window : day;
    }

    private Readiness.Verdict verdict(boolean hasNext, LocalDate window) {
        if (conditions.stream().anyMatch(c -> c.code() == Condition.Code.NO_HOLD)) {
            return Readiness.Verdict.HELD;
        }
        if (!hasNext) {
            return Readiness.Verdict.NOT_YET;
        }
        if (conditions.stream().allMatch(Condition::met)) {
            return asked.besides().nominated() && seesAll() ? Readiness.Verdict.CANDIDATE : Readiness.Verdict.ELIGIBLE;
        }
        LocalDate nextWindow = firstWindow(today);
        boolean inTime = window != null
                && (window.equals(nextWindow)
                        || window.getYear() == nextWindow.getYear() && window.getMonth() == nextWindow.getMonth());
        return inTime ? Readiness.Verdict.ON_TRACK : Readiness.Verdict.NOT_YET;
    }

    private void add(
            Condition.Code code, String label, boolean met, String have, String need, String missing, LocalDate by) {
        conditions.add(new Condition(code, label, met, have, need, met ? "" : missing, met ? null : by));
    }
}
