package lynchet.core.club;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import lynchet.core.chain.Chain;
import lynchet.core.grading.Grading;
import lynchet.core.map.MapData;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.ClassPattern;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.people.Ask;
import lynchet.core.people.Promotion;
import lynchet.core.people.Student;
import lynchet.core.rank.Ladder;
import lynchet.core.round.Round;
import lynchet.core.rule.Require;
import lynchet.core.term.Closure;
import lynchet.core.term.Term;
import lynchet.core.walk.IgnoredGap;
import lynchet.core.words.Word;

/**
 * A club, or a slice of one: things of each {@link Part part}. Accounts and passwords are no part of it.
 *
 * <p>A whole club of many years is never held as one of these; an edit holds what is taught and the few records it touches.
 */
public final class Club {

    private final String name;
    private final Map<Part<?>, List<?>> things;

    private Club(String name, Map<Part<?>, List<?>> things) {
        this.name = name;
        this.things = things;
    }

    /** A club with nothing in it; a blank name becomes "Our club". */
    public static Club named(String name) {
        return new Club(name == null || name.isBlank() ? "Our club" : name, Map.of());
    }

    /** A club that has what it teaches, and nobody in it yet. */
    public static Club teaching(
            String name,
            MapData map,
            List<Chain> chains,
            List<Ladder> ladders,
            List<Word> words,
            List<DrillShape> drills) {
        return named(name)
                .onMap(map == null ? new MapData(null, null, null, null, null) : map)
                .with(Parts.CHAINS, chains)
                .with(Parts.LADDERS, ladders)
                .with(Parts.WORDS, words)
                .with(Parts.DRILLS, drills);
    }

    public String name() {
        return name;
    }

    /** The things of one part, in their order; an empty list where there are none. */
    @SuppressWarnings("unchecked")
    public <T> List<T> all(Part<T> part) {
        return (List<T>) things.getOrDefault(part, List.of());
    }

    /** The same club with other things of one part; a missing list is an empty one. */
    public <T> Club with(Part<T> part, List<T> others) {
        Map<Part<?>, List<?>> all = new HashMap<>(things);
        all.put(part, Require.list(part.name(), others));
        return new Club(name, all);
    }

    /** The same club with the things of one part changed. */
    public <T> Club changing(Part<T> part, UnaryOperator<List<T>> change) {
        return with(part, change.apply(all(part)));
    }

    /** What becomes of the things of one part. */
    public interface Change {
        <T> List<T> of(Part<T> part, List<T> things);
    }

    /** The same club with every part changed. */
    public Club with(Change change) {
        Club changed = this;
        for (Part<?> part : Parts.ALL) {
            changed = changed.with(part, change);
        }
        return changed;
    }

    private <T> Club with(Part<T> part, Change change) {
        return with(part, change.of(part, all(part)));
    }

    /** Everything as it is, on another map. */
    public Club onMap(MapData map) {
        return with(Parts.PAIRS, map.pairs())
                .with(Parts.TECHNIQUES, map.techniques())
                .with(Parts.LINKS, map.links())
                .with(Parts.REACTIONS, map.reactions())
                .with(Parts.RULESETS, map.rulesets());
    }

    /** What the club teaches, without the calendar, the people and what was recorded of them. */
    public Club withoutPeople() {
        Club taught = named(name);
        for (Part<?> part : Parts.LIBRARY) {
            taught = taught.taking(part, this);
        }
        return taught;
    }

    /** The same club with the things of one part that another one has. */
    public <T> Club taking(Part<T> part, Club other) {
        return with(part, other.all(part));
    }

    public MapData map() {
        return new MapData(
                all(Parts.PAIRS), all(Parts.TECHNIQUES), all(Parts.LINKS), all(Parts.REACTIONS), all(Parts.RULESETS));
    }

    /** The club's own numbers, or the usual ones. */
    public ClubNumbers numbers() {
        return all(Parts.NUMBERS).stream().findFirst().orElse(ClubNumbers.USUAL);
    }

    public List<Chain> chains() {
        return all(Parts.CHAINS);
    }

    public List<Ladder> ladders() {
        return all(Parts.LADDERS);
    }

    public List<Word> words() {
        return all(Parts.WORDS);
    }

    public List<DrillShape> drills() {
        return all(Parts.DRILLS);
    }

    public List<Track> tracks() {
        return all(Parts.TRACKS);
    }

    public List<Term> terms() {
        return all(Parts.TERMS);
    }

    public List<Closure> closures() {
        return all(Parts.CLOSURES);
    }

    public List<ClassPattern> patterns() {
        return all(Parts.PATTERNS);
    }

    public List<Student> people() {
        return all(Parts.PEOPLE);
    }

    public List<Promotion> promotions() {
        return all(Parts.PROMOTIONS);
    }

    public List<TrainingClass> classes() {
        return all(Parts.CLASSES);
    }

    public List<Attendance> attendance() {
        return all(Parts.ATTENDANCE);
    }

    public List<PracticeEntry> practice() {
        return all(Parts.PRACTICE);
    }

    public List<Mark> marks() {
        return all(Parts.MARKS);
    }

    public List<Grading> gradings() {
        return all(Parts.GRADINGS);
    }

    public List<Ask> asks() {
        return all(Parts.ASKS);
    }

    public List<Round> rounds() {
        return all(Parts.ROUNDS);
    }

    public List<IgnoredGap> ignoredGaps() {
        return all(Parts.IGNORED_GAPS);
    }

    /** The same name and the same things in the same order. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Club club
                && club.name.equals(name)
                && Parts.ALL.stream().allMatch(part -> club.all(part).equals(all(part)));
    }

    @Override
    public int hashCode() {
        return name.hashCode();
    }
}
