package lynchet.core.term.plan;

import static ai.timefold.solver.core.api.score.stream.ConstraintCollectors.count;
import static ai.timefold.solver.core.api.score.stream.ConstraintCollectors.max;
import static ai.timefold.solver.core.api.score.stream.ConstraintCollectors.sum;
import static ai.timefold.solver.core.api.score.stream.Joiners.equal;
import static ai.timefold.solver.core.api.score.stream.Joiners.filtering;

import ai.timefold.solver.core.api.score.buildin.hardmediumsoft.HardMediumSoftScore;
import ai.timefold.solver.core.api.score.stream.Constraint;
import ai.timefold.solver.core.api.score.stream.ConstraintFactory;
import ai.timefold.solver.core.api.score.stream.ConstraintProvider;
import ai.timefold.solver.core.api.score.stream.bi.BiConstraintStream;
import java.util.stream.Stream;
import lynchet.core.term.plan.Timetable.Before;
import lynchet.core.term.plan.Timetable.Beside;
import lynchet.core.term.plan.Timetable.Bounds;
import lynchet.core.term.plan.Timetable.Pinned;
import lynchet.core.term.plan.Timetable.PlacedBefore;

/** What a plan has to keep, what it owes, and what it would like (design: term plan). */
public final class PlanRules implements ConstraintProvider {

    private static final HardMediumSoftScore HARD = HardMediumSoftScore.ONE_HARD;
    private static final HardMediumSoftScore OWED = HardMediumSoftScore.ONE_MEDIUM;
    private static final HardMediumSoftScore WISH = HardMediumSoftScore.ONE_SOFT;

    private static final int LATE = 100;
    private static final int FIRST_OWED = 3;
    private static final int PER_CLASS_OFF = 2;
    private static final int PER_DAY_STALE = 1;
    private static final int PER_DAY_STALE_MUST = 8;
    private static final int PER_WEEKDAY = 10;
    private static final int WEEKDAY_MEETINGS = 3;
    private static final int LEFT_OUT = 8;
    private static final int LEFT_OUT_AGAIN = 3;
    private static final int EMPTY = 60;
    private static final int APART = 2;
    private static final int LOPSIDED = 6;
    private static final int THEME = 60;
    private static final int MOVED = 400;
    private static final int ADDED = 300;

    /** What has to be kept and what is owed, without a wish: so that nothing keeps a meeting from making room. */
    public static final class Must implements ConstraintProvider {

        @Override
        public Constraint[] defineConstraints(ConstraintFactory rules) {
            return must(rules).toArray(Constraint[]::new);
        }
    }

    @Override
    public Constraint[] defineConstraints(ConstraintFactory rules) {
        return Stream.concat(must(rules), wishes(rules)).toArray(Constraint[]::new);
    }

    private static Stream<Constraint> must(ConstraintFactory rules) {
        return Stream.of(
                notInThePast(rules),
                kept(rules),
                neededBefore(rules),
                inOrder(rules),
                noHole(rules),
                fits(rules),
                fewNew(rules),
                falls(rules),
                earlyEnough(rules),
                owed(rules));
    }

    private static Stream<Constraint> wishes(ConstraintFactory rules) {
        return Stream.of(
                distance(rules),
                notStale(rules),
                weekdays(rules),
                leftOut(rules),
                notEmpty(rules),
                neighbours(rules),
                bothHeights(rules),
                theme(rules),
                moved(rules),
                added(rules));
    }

    private static Constraint notInThePast(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .filter(Meeting::isLate)
                .ifNotExists(Pinned.class, equal(Meeting::item, Pinned::item), equal(Meeting::there, Pinned::lesson))
                .penalize(HARD, one -> LATE)
                .asConstraint("nothing in a class that is over or kept");
    }

    private static Constraint kept(ConstraintFactory rules) {
        return rules.forEach(Pinned.class)
                .ifNotExists(Meeting.class, equal(Pinned::item, Meeting::item), equal(Pinned::lesson, Meeting::there))
                .penalize(HARD, kept -> LATE)
                .asConstraint("what is kept stays");
    }

    private static Constraint neededBefore(ConstraintFactory rules) {
        return rules.forEach(Before.class)
                .join(
                        rules.forEachIncludingUnassigned(Meeting.class).filter(Meeting::isNew),
                        equal(Before::needed, Meeting::item))
                .join(
                        rules.forEach(Meeting.class).filter(Meeting::isNew),
                        equal((pair, needed) -> pair.item(), Meeting::item))
                .filter((pair, needed, one) -> needed.getLesson() == null
                        || needed.there().index() >= one.there().index())
                .penalize(HARD)
                .asConstraint("needed before");
    }

    private static BiConstraintStream<Meeting, Meeting> consecutive(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .join(Meeting.class, equal(Meeting::item), equal(one -> one.n() + 1, Meeting::n));
    }

    private static Constraint inOrder(ConstraintFactory rules) {
        return consecutive(rules)
                .filter((one, next) -> next.there().index() <= one.there().index())
                .penalize(
                        HARD,
                        (one, next) -> 1 + (one.there().index() - next.there().index()) / 4)
                .asConstraint("met again afterwards");
    }

    private static Constraint noHole(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .filter(one -> one.n() > 0)
                .ifNotExists(Meeting.class, equal(Meeting::item), equal(one -> one.n() - 1, Meeting::n))
                .penalize(HARD)
                .asConstraint("one after the other");
    }

    private static Constraint fits(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .groupBy(Meeting::there, sum(Meeting::minutes))
                .filter((lesson, minutes) -> lesson.open() && minutes > lesson.minutes())
                .penalize(HARD, (lesson, minutes) -> minutes - lesson.minutes())
                .asConstraint("fits its class");
    }

    private static Constraint fewNew(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .filter(Meeting::isNew)
                .groupBy(Meeting::there, count())
                .filter((lesson, many) -> lesson.open() && many > lesson.fresh())
                .penalize(HARD, (lesson, many) -> many - lesson.fresh())
                .asConstraint("few new items a class");
    }

    private static Constraint falls(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .filter(one -> one.item().falls() > 0)
                .groupBy(Meeting::there, sum(one -> (int) Math.ceil(one.item().falls())))
                .join(Bounds.class, filtering((lesson, falls, bounds) -> lesson.open() && falls > bounds.mostFalls()))
                .penalize(HARD)
                .asConstraint("falls of a class");
    }

    private static Constraint earlyEnough(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .filter(one -> one.isNew() && one.item().must())
                .join(Bounds.class, filtering((one, bounds) -> one.there().index() > bounds.lastFirst()))
                .penalize(HARD)
                .asConstraint("shown three weeks before it is examined");
    }

    private static Constraint owed(ConstraintFactory rules) {
        return rules.forEachIncludingUnassigned(Meeting.class)
                .filter(one -> one.isNeeded() && one.getLesson() == null)
                .penalize(OWED, one -> one.n() == 0 ? FIRST_OWED : 1)
                .asConstraint("introduced and met three times");
    }

    private static Constraint distance(ConstraintFactory rules) {
        return consecutive(rules)
                .penalize(
                        WISH,
                        (one, next) -> PER_CLASS_OFF
                                * Math.abs(next.there().index() - one.there().index() - PlanningTask.gapAfter(one.n())))
                .asConstraint("met again after 1, 3 and 8 classes");
    }

    private static Constraint notStale(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .join(Bounds.class, filtering((one, bounds) -> bounds.isBeforeGrading(one.there())))
                .groupBy(
                        (one, bounds) -> one.item(),
                        (one, bounds) -> bounds,
                        max((Meeting one, Bounds bounds) -> one.there().date().toEpochDay()))
                .filter((item, bounds, last) -> bounds.grading() - last > PlanningTask.LAST)
                .penalize(
                        WISH,
                        (item, bounds, last) -> (item.must() ? PER_DAY_STALE_MUST : PER_DAY_STALE)
                                * (int) (bounds.grading() - last - PlanningTask.LAST))
                .asConstraint("met in the last two weeks before the grading");
    }

    private static Constraint weekdays(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .groupBy(Meeting::item, one -> one.there().slot(), count())
                .reward(WISH, (item, slot, many) -> PER_WEEKDAY * Math.min(many, item.must() ? WEEKDAY_MEETINGS : 1))
                .asConstraint("every weekday's regulars meet it");
    }

    private static Constraint leftOut(ConstraintFactory rules) {
        return rules.forEachIncludingUnassigned(Meeting.class)
                .filter(one -> one.getLesson() == null && !one.item().must() && one.n() < Item.MEETINGS)
                .penalize(WISH, one -> one.n() == 0 ? LEFT_OUT : LEFT_OUT_AGAIN)
                .asConstraint("what comes if time allows");
    }

    private static Constraint notEmpty(ConstraintFactory rules) {
        return rules.forEach(Lesson.class)
                .filter(lesson -> lesson.open() && lesson.minutes() > 0)
                .ifNotExists(Meeting.class, equal(lesson -> lesson, Meeting::getLesson))
                .penalize(WISH, lesson -> EMPTY)
                .asConstraint("no class without anything");
    }

    private static Constraint neighbours(ConstraintFactory rules) {
        return rules.forEach(Beside.class)
                .join(rules.forEach(Meeting.class).filter(Meeting::isFirst), equal(Beside::item, Meeting::item))
                .join(
                        rules.forEach(Meeting.class).filter(Meeting::isFirst),
                        equal((pair, one) -> pair.other(), Meeting::item))
                .filter((pair, one, other) ->
                        Math.abs(other.there().index() - one.there().index()) > 1)
                .penalize(
                        WISH,
                        (pair, one, other) -> APART
                                * (Math.abs(other.there().index() - one.there().index()) - 1))
                .asConstraint("neighbours in a chain come together");
    }

    private static Constraint bothHeights(ConstraintFactory rules) {
        return rules.forEach(Meeting.class)
                .groupBy(
                        one -> one.there().week(),
                        sum((Meeting one) -> one.item().standing() ? 1 : 0),
                        count())
                .filter((week, standing, all) -> all >= 2 && (standing == 0 || standing.equals(all)))
                .join(Bounds.class, filtering((week, standing, all, bounds) -> bounds.bothHeights()))
                .penalize(WISH, (week, standing, all, bounds) -> LOPSIDED)
                .asConstraint("standing and ground each week");
    }

    private static Constraint theme(ConstraintFactory rules) {
        return rules.forEach(Item.class)
                .filter(item -> item.theme() != null)
                .ifNotExists(Meeting.class, equal(item -> item, Meeting::item), equal(Item::theme, one -> one.there()
                        .week()))
                .penalize(WISH, item -> THEME)
                .asConstraint("the theme of a week");
    }

    private static Constraint moved(ConstraintFactory rules) {
        return rules.forEach(PlacedBefore.class)
                .ifNotExists(
                        Meeting.class,
                        equal(PlacedBefore::item, Meeting::item),
                        equal(PlacedBefore::lesson, Meeting::there))
                .penalize(WISH, stood -> MOVED)
                .asConstraint("few changes");
    }

    private static Constraint added(ConstraintFactory rules) {
        return rules.forEach(Bounds.class)
                .filter(Bounds::replans)
                .join(Meeting.class)
                .ifNotExists(
                        PlacedBefore.class,
                        equal((bounds, one) -> one.item(), PlacedBefore::item),
                        equal((bounds, one) -> one.there(), PlacedBefore::lesson))
                .penalize(WISH, (bounds, one) -> ADDED)
                .asConstraint("few additions");
    }
}
