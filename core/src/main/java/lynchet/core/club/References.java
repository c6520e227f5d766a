package lynchet.core.club;

import static lynchet.core.club.Target.CHAIN;
import static lynchet.core.club.Target.CLASS;
import static lynchet.core.club.Target.FAULT;
import static lynchet.core.club.Target.GRADING;
import static lynchet.core.club.Target.LADDER;
import static lynchet.core.club.Target.LINK;
import static lynchet.core.club.Target.MARK;
import static lynchet.core.club.Target.POSITION;
import static lynchet.core.club.Target.PROMOTION;
import static lynchet.core.club.Target.RANK;
import static lynchet.core.club.Target.RANK_OF_LADDER;
import static lynchet.core.club.Target.REACTION;
import static lynchet.core.club.Target.RULESET;
import static lynchet.core.club.Target.SLOT;
import static lynchet.core.club.Target.STUDENT;
import static lynchet.core.club.Target.SUBJECT;
import static lynchet.core.club.Target.TECHNIQUE;
import static lynchet.core.club.Target.TERM;
import static lynchet.core.club.Target.TRACK;
import static lynchet.core.club.Target.VERSION;

import java.util.List;
import java.util.stream.Stream;
import lynchet.core.card.Fault;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.grading.Grading;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.Block;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Pairing;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Tally;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Ask;
import lynchet.core.people.Brought;
import lynchet.core.people.Promotion;
import lynchet.core.people.Student;
import lynchet.core.people.SyllabusMove;
import lynchet.core.promote.Nomination;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;
import lynchet.core.round.Round;
import lynchet.core.safety.Incident;
import lynchet.core.term.TermPlan;
import lynchet.core.term.cycle.ThemeCycle;
import lynchet.core.walk.IgnoredGap;

/** What the larger things of a club offer, and what they point at. */
final class References {

    private References() {}

    static String of(String outer, String inner) {
        return inner == null ? null : outer + "/" + inner;
    }

    interface At<E> {
        void at(E entry, String field);
    }

    static <E> void each(List<E> entries, String field, At<E> what) {
        for (int i = 0; i < entries.size(); i++) {
            what.at(entries.get(i), field + "/" + i);
        }
    }

    static void card(Technique card, Part.Offering to) {
        to.offer(TECHNIQUE, card.id());
        to.offer(SUBJECT, card.id());
        card.versions().forEach(version -> to.offer(VERSION, of(card.id(), version.id())));
        Stream.concat(card.faults().stream(), card.versions().stream().flatMap(v -> v.faults().stream()))
                .map(Fault::id)
                .forEach(fault -> to.offer(FAULT, of(card.id(), fault)));
    }

    static void step(ChainStep step, String at, Part.Referring to) {
        to.refer("CHAIN_LINK", at + "/link", LINK, step.link());
        each(step.next(), at + "/next", (turn, where) -> {
            to.refer("CHAIN_REACTION", where + "/reaction", REACTION, turn.reaction());
            step(turn.step(), where + "/step", to);
        });
    }

    static void ranks(Ladder ladder, Part.Offering to) {
        to.offer(LADDER, ladder.id());
        for (Rank rank : ladder.ranks()) {
            to.offer(RANK, rank.id());
            to.offer(RANK_OF_LADDER, of(ladder.id(), rank.id()));
            rank.items().forEach(item -> to.offer(SUBJECT, item.subject()));
        }
        ladder.earlier().stream()
                .flatMap(then -> then.ranks().stream())
                .flatMap(of -> of.syllabus().stream())
                .flatMap(group -> group.items().stream())
                .forEach(item -> to.offer(SUBJECT, item.subject()));
    }

    static void ladder(Ladder ladder, Part.Referring to) {
        to.refer("LADDER_RULESET", "ruleset", RULESET, ladder.ruleset());
        to.refer("LADDER_NEXT", "nextLadder", LADDER, ladder.nextLadder());
        each(ladder.tracks(), "tracks", (id, at) -> to.refer("LADDER_TRACK", at, TRACK, id));
        ladder.handOver().forEach((here, there) -> {
            to.refer("HAND_OVER", "handOver/" + here, RANK_OF_LADDER, of(ladder.id(), here));
            to.refer("HAND_OVER", "handOver/" + here, RANK_OF_LADDER, of(ladder.nextLadder(), there));
        });
        each(ladder.ranks(), "ranks", (rank, at) -> syllabus(rank.syllabus(), at, to));
        each(
                ladder.earlier(),
                "earlier",
                (then, atThen) ->
                        each(then.ranks(), atThen + "/ranks", (rank, at) -> syllabus(rank.syllabus(), at, to)));
    }

    static void syllabus(List<SyllabusGroup> syllabus, String atRank, Part.Referring to) {
        each(
                syllabus,
                atRank + "/syllabus",
                (group, atGroup) -> each(group.items(), atGroup + "/items", (item, at) -> item(item, at, to)));
    }

    static void item(Item item, String at, Part.Referring to) {
        switch (item.kind()) {
            case TECHNIQUE -> {
                to.refer("SYLLABUS_ITEM", at + "/ref", TECHNIQUE, item.ref());
                to.refer("SYLLABUS_ITEM", at + "/version", VERSION, of(item.ref(), item.version()));
            }
            case COUNTER -> to.refer("SYLLABUS_ITEM", at + "/ref", LINK, item.ref());
            case CHAIN -> to.refer("SYLLABUS_ITEM", at + "/ref", CHAIN, item.ref());
            case POSITION_GOAL -> to.refer("SYLLABUS_ITEM", at + "/ref", POSITION, item.ref());
            case WORDS, FORM, LIVE_ROUNDS, HELPING_HOURS -> {}
        }
    }

    static void trained(TrainingClass trained, Part.Referring to) {
        to.refer("CLASS_TRACK", "track", TRACK, trained.track());
        to.refer("CLASS_SLOT", "slot", SLOT, trained.slot());
        to.refer("CLASS_TERM", "term", TERM, trained.term());
        each(trained.blocks(), "blocks", (block, at) -> block(block, at, to));
    }

    static void block(Block block, String at, Part.Referring to) {
        to.refer("BLOCK_TECHNIQUE", at + "/technique", TECHNIQUE, block.technique());
        to.refer("BLOCK_POSITION", at + "/position", POSITION, block.position());
        to.refer("BLOCK_CHAIN", at + "/chain", CHAIN, block.chain());
        to.refer("BLOCK_VERSION", at + "/version", VERSION, of(block.technique(), block.version()));
        to.refer("BLOCK_FAULT", at + "/watchFault", FAULT, of(block.technique(), block.watchFault()));
    }

    static void round(Round round, Part.Referring to) {
        to.refer("RECORD_STUDENT", "first", STUDENT, round.first());
        to.refer("RECORD_STUDENT", "second", STUDENT, round.second());
        to.refer("RECORD_CLASS", "classId", CLASS, round.classId());
        to.refer("ROUND_RULESET", "ruleset", RULESET, round.ruleset());
        to.refer("ROUND_LINK", "ended/link", LINK, round.ended().link());
        to.refer("ROUND_POSITION", "ended/position", POSITION, round.ended().position());
        each(round.events(), "events", (event, at) -> {
            to.refer("ROUND_LINK", at + "/link", LINK, event.link());
            to.refer("ROUND_POSITION", at + "/position", POSITION, event.position());
            to.refer("ROUND_REACTION", at + "/reaction", REACTION, event.reaction());
        });
    }

    static void plan(TermPlan plan, Part.Referring to) {
        to.refer("PLAN_TERM", "term", TERM, plan.term());
        to.refer("PLAN_TRACK", "track", TRACK, plan.track());
        each(plan.goals(), "goals", (goal, at) -> {
            to.refer("PLAN_TECHNIQUE", at + "/technique", TECHNIQUE, goal.technique());
            to.refer("PLAN_CHAIN", at + "/chain", CHAIN, goal.chain());
        });
        each(plan.placed(), "placed", (one, at) -> {
            to.refer("PLAN_GOAL", at + "/goal", SUBJECT, one.goal());
            to.refer("PLAN_SLOT", at + "/slot", SLOT, one.slot());
        });
    }

    static void cycle(ThemeCycle cycle, Part.Referring to) {
        to.refer("CYCLE_TRACK", "track", TRACK, cycle.track());
        each(
                cycle.themes(),
                "themes",
                (theme, in) -> each(
                        theme.subjects(), in + "/subjects", (id, at) -> to.refer("CYCLE_SUBJECT", at, SUBJECT, id)));
    }

    static void mates(Student student, Part.Referring to) {
        each(student.tracks(), "tracks", (id, at) -> to.refer("STUDENT_TRACK", at, TRACK, id));
        each(student.keepApart(), "keepApart", (id, at) -> to.refer("KEEP_APART", at, STUDENT, id));
        each(student.prefers(), "prefers", (id, at) -> to.refer("PREFERS", at, STUDENT, id));
    }

    static void grading(Grading grading, Part.Referring to) {
        to.refer("GRADING_LADDER", "ladder", LADDER, grading.ladder());
        each(grading.candidates(), "candidates", (candidate, at) -> {
            to.refer("RECORD_STUDENT", at + "/student", STUDENT, candidate.student());
            to.refer("CANDIDATE_RANK", at + "/rank", RANK_OF_LADDER, grading.ladder() + "/" + candidate.rank());
        });
    }

    static void promotion(Promotion given, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, given.student());
        to.refer("PROMOTION_LADDER", "ladder", LADDER, given.ladder());
        to.refer("PROMOTION_RANK", "from", RANK_OF_LADDER, of(given.ladder(), given.from()));
        to.refer("PROMOTION_RANK", "to", RANK_OF_LADDER, of(given.ladder(), given.to()));
        to.refer("PROMOTION_GRADING", "grading", GRADING, given.grading());
        to.refer("PROMOTION_CORRECTS", "corrects", PROMOTION, of(given.student(), given.corrects()));
    }

    static void practice(PracticeEntry entry, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, entry.student());
        to.refer("RECORD_CLASS", "classId", CLASS, entry.classId());
        to.refer("RECORD_SUBJECT", "technique", TECHNIQUE, entry.technique());
        to.refer("RECORD_SUBJECT", "chain", CHAIN, entry.chain());
        each(entry.except(), "except", (id, at) -> to.refer("RECORD_STUDENT", at, STUDENT, id));
    }

    static void mark(Mark mark, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, mark.student());
        to.refer("RECORD_CLASS", "classId", CLASS, mark.classId());
        to.refer("RECORD_SUBJECT", "subject", SUBJECT, mark.subject());
        to.refer("MARK_VERSION", "version", VERSION, of(mark.subject(), mark.version()));
        each(mark.faults(), "faults", (id, at) -> to.refer("MARK_FAULT", at, FAULT, of(mark.subject(), id)));
        to.refer("MARK_WITHDRAWS", "withdraws", MARK, of(mark.student(), mark.withdraws()));
    }

    static void gap(IgnoredGap gap, Part.Referring to) {
        to.refer("GAP_RANK", "rank", RANK, gap.rank());
        to.refer("RECORD_STUDENT", "student", STUDENT, gap.student());
        to.refer("GAP_POSITION", "position", POSITION, gap.position());
        to.refer("GAP_TECHNIQUE", "technique", TECHNIQUE, gap.technique());
        to.refer("GAP_REACTION", "reaction", REACTION, gap.reaction());
    }

    static void pairing(Pairing pairing, Part.Referring to) {
        to.refer("RECORD_CLASS", "classId", CLASS, pairing.classId());
        each(
                pairing.groups(),
                "groups",
                (group, at) -> each(
                        group.people(), at + "/people", (id, where) -> to.refer("RECORD_STUDENT", where, STUDENT, id)));
    }

    static void incident(Incident incident, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, incident.student());
        to.refer("RECORD_STUDENT", "partner", STUDENT, incident.partner());
        to.refer("RECORD_CLASS", "classId", CLASS, incident.classId());
    }

    static void chain(Chain chain, Part.Referring to) {
        to.refer("CHAIN_START", "start", POSITION, chain.start());
        if (chain.first() != null) {
            step(chain.first(), "first", to);
        }
    }

    static void ask(Ask ask, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, ask.student());
        to.refer("RECORD_SUBJECT", "subject", SUBJECT, ask.subject());
    }

    static void credit(Credit credit, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, credit.student());
        to.refer("RECORD_SUBJECT", "subject", SUBJECT, credit.subject());
    }

    static void brought(Brought brought, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, brought.student());
        to.refer("PROMOTION_LADDER", "ladder", LADDER, brought.ladder());
        to.refer("PROMOTION_RANK", "below", RANK_OF_LADDER, of(brought.ladder(), brought.below()));
    }

    static void move(SyllabusMove move, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, move.student());
        to.refer("PROMOTION_LADDER", "ladder", LADDER, move.ladder());
        to.refer("PROMOTION_RANK", "rank", RANK_OF_LADDER, of(move.ladder(), move.rank()));
    }

    static void nomination(Nomination nomination, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, nomination.student());
        to.refer("PROMOTION_LADDER", "ladder", LADDER, nomination.ladder());
        to.refer("PROMOTION_RANK", "rank", RANK_OF_LADDER, of(nomination.ladder(), nomination.rank()));
    }

    static void tally(Tally tally, Part.Referring to) {
        to.refer("RECORD_CLASS", "classId", CLASS, tally.classId());
        to.refer("RECORD_SUBJECT", "technique", TECHNIQUE, tally.technique());
        to.refer("MARK_FAULT", "fault", FAULT, of(tally.technique(), tally.fault()));
    }

    static void attendance(Attendance there, Part.Referring to) {
        to.refer("RECORD_STUDENT", "student", STUDENT, there.student());
        to.refer("RECORD_CLASS", "classId", CLASS, there.classId());
    }
}
