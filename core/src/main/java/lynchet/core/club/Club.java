package lynchet.core.club;

import java.util.List;
import java.util.function.Function;
import lynchet.core.chain.Chain;
import lynchet.core.grading.Grading;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Technique;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;
import lynchet.core.rank.Ladder;
import lynchet.core.round.Round;
import lynchet.core.rule.Say;
import lynchet.core.term.Term;
import lynchet.core.walk.IgnoredGap;
import lynchet.core.words.Word;

/** A whole club: its map, chains, ladders, words, drills, people and records. Accounts and passwords are no part of it. */
public record Club(
        String name,
        MapData map,
        List<Chain> chains,
        List<Ladder> ladders,
        List<Word> words,
        List<DrillShape> drills,
        List<Track> tracks,
        List<Term> terms,
        List<Student> people,
        List<TrainingClass> classes,
        List<Attendance> attendance,
        List<PracticeEntry> practice,
        List<Mark> marks,
        List<Grading> gradings,
        List<Round> rounds,
        List<IgnoredGap> ignoredGaps) {

    public Club {
        name = name == null || name.isBlank() ? "Our club" : Say.text("the name of the club", name, 80);
        map = map == null ? new MapData(null, null, null, null, null) : map;
        chains = Say.list(chains);
        ladders = Say.list(ladders);
        words = Say.list(words);
        drills = Say.list(drills);
        tracks = Say.list(tracks);
        terms = Say.list(terms);
        people = Say.list(people);
        classes = Say.list(classes);
        attendance = Say.list(attendance);
        practice = Say.list(practice);
        marks = Say.list(marks);
        gradings = Say.list(gradings);
        rounds = Say.list(rounds);
        ignoredGaps = Say.list(ignoredGaps);
    }

    /** A club that has what it teaches, and nobody in it yet. */
    public static Club teaching(
            String name,
            MapData map,
            List<Chain> chains,
            List<Ladder> ladders,
            List<Word> words,
            List<DrillShape> drills) {
        return new Club(
                name, map, chains, ladders, words, drills, null, null, null, null, null, null, null, null, null, null);
    }

    /** Whether this is a map and nothing else. */
    public boolean isOnlyMap() {
        return chains.isEmpty() && ladders.isEmpty() && words.isEmpty() && tracks.isEmpty() && people.isEmpty();
    }

    /** Everything as it is, on another map. */
    public Club onMap(MapData other) {
        return new Club(
                name,
                other,
                chains,
                ladders,
                words,
                drills,
                tracks,
                terms,
                people,
                classes,
                attendance,
                practice,
                marks,
                gradings,
                rounds,
                ignoredGaps);
    }

    /** What the club teaches, without the people and what was recorded of them. */
    public Club withoutPeople() {
        return teaching(name, map, chains, ladders, words, drills);
    }

    /** What becomes of one part of a club. */
    public interface Change {
        <T> List<T> of(String part, Class<T> type, List<T> things, Function<T, String> id);
    }

    /** The club with each part changed that the map's edits may touch; people, attendance and dates stay. */
    public Club with(Change change) {
        return new Club(
                name,
                new MapData(
                        change.of("pair", PositionPair.class, map.pairs(), PositionPair::id),
                        change.of("technique", Technique.class, map.techniques(), Technique::id),
                        change.of("link", Link.class, map.links(), Link::id),
                        change.of("reaction", Reaction.class, map.reactions(), Reaction::id),
                        change.of("ruleset", Ruleset.class, map.rulesets(), Ruleset::id)),
                change.of("chain", Chain.class, chains, Chain::id),
                change.of("ladder", Ladder.class, ladders, Ladder::id),
                change.of("word", Word.class, words, Word::id),
                change.of("drill", DrillShape.class, drills, DrillShape::id),
                tracks,
                terms,
                people,
                change.of("class", TrainingClass.class, classes, TrainingClass::id),
                attendance,
                change.of("practice", PracticeEntry.class, practice, PracticeEntry::id),
                change.of("mark", Mark.class, marks, Mark::id),
                gradings,
                change.of("round", Round.class, rounds, Round::id),
                change.of("gap", IgnoredGap.class, ignoredGaps, IgnoredGap::id));
    }
}
