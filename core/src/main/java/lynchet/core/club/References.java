package lynchet.core.club;

import static lynchet.core.club.Target.CHAIN;
import static lynchet.core.club.Target.CLASS;
import static lynchet.core.club.Target.FAULT;
import static lynchet.core.club.Target.LADDER;
import static lynchet.core.club.Target.LINK;
import static lynchet.core.club.Target.POSITION;
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
import lynchet.core.chain.ChainStep;
import lynchet.core.mat.Block;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;
import lynchet.core.round.Round;

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
}
