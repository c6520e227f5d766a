package lynchet.core.people;

import java.time.LocalDate;
import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Side;
import lynchet.core.rule.Say;

/**
 * Everything that is asked about a student on every screen, folded from what was recorded: when they were last here,
 * classes counted towards each rank, practice by technique and side, and the marks that stand.
 *
 * <p>{@link #after} is pure: the same events in the order of their days give the same state. An event of a day that is
 * over already is not {@link #takes taken}; then the events of that technique, or the classes, are folded again.
 */
public final class StudentState {

    /** A technique, chain or item on one side. */
    public record SkillKey(String subject, Side side) {}

    private final LocalDate lastSeen;
    private final Map<String, LadderCount> ladders;
    private final Map<SkillKey, Skill> skills;
    private final MarkBook marks;

    public StudentState(
            LocalDate lastSeen, Map<String, LadderCount> ladders, Map<SkillKey, Skill> skills, MarkBook marks) {
        this.lastSeen = lastSeen;
        this.ladders = Collections.unmodifiableMap(ladders);
        this.skills = Collections.unmodifiableMap(skills);
        this.marks = Say.there("the marks of a state", marks);
    }

    /** Nothing recorded yet. */
    public static StudentState empty() {
        return new StudentState(null, Map.of(), Map.of(), new MarkBook(Map.of()));
    }

    /** The day of the latest class; null: never here. */
    public LocalDate lastSeen() {
        return lastSeen;
    }

    /** Ranks held with the classes counted since, by ladder. */
    public Map<String, LadderCount> ladders() {
        return ladders;
    }

    public Map<SkillKey, Skill> skills() {
        return skills;
    }

    public MarkBook marks() {
        return marks;
    }

    public Optional<HeldRank> heldOn(String ladder) {
        return Optional.ofNullable(ladders.get(ladder)).map(LadderCount::held);
    }

    /** Whether an event can be added without folding earlier ones again. */
    public boolean takes(StudentEvent event) {
        if (event instanceof StudentEvent.Attended there) {
            return ladders.entrySet().stream()
                    .filter(ladder -> there.counts().containsKey(ladder.getKey()))
                    .allMatch(ladder ->
                            ladder.getValue().takes(there.day(), there.counts().get(ladder.getKey())));
        }
        if (event instanceof StudentEvent.Practised did) {
            return takes(did.subject(), did.side(), did.done());
        }
        if (event instanceof StudentEvent.Marked judged) {
            Mark mark = judged.mark();
            return !judged.isPractice() || takes(mark.subject(), mark.side(), judged.done());
        }
        return !(event instanceof StudentEvent.Promoted);
    }

    private boolean takes(String subject, Side side, PracticeDay done) {
        return side.each().stream()
                .map(one -> skills.get(new SkillKey(subject, one)))
                .allMatch(skill -> skill == null || skill.takes(done));
    }

    /**
     * The state with one more event.
     *
     * @throws IllegalArgumentException if it {@link #takes does not take} it
     */
    public StudentState after(StudentEvent event) {
        if (!takes(event)) {
            throw new IllegalArgumentException("this is of a day that is over: " + event);
        }
        if (event instanceof StudentEvent.Attended there) {
            Map<String, LadderCount> counted = new HashMap<>(ladders);
            counted.replaceAll((ladder, count) -> {
                Boolean oneADay = there.counts().get(ladder);
                return oneADay == null ? count : count.after(there.day(), oneADay);
            });
            LocalDate seen = lastSeen == null || there.day().isAfter(lastSeen) ? there.day() : lastSeen;
            return new StudentState(seen, counted, skills, marks);
        }
        if (event instanceof StudentEvent.Practised did) {
            return new StudentState(lastSeen, ladders, practised(did.subject(), did.side(), did.done()), marks);
        }
        StudentEvent.Marked judged = (StudentEvent.Marked) event;
        Mark mark = judged.mark();
        return new StudentState(
                lastSeen,
                ladders,
                judged.isPractice() ? practised(mark.subject(), mark.side(), judged.done()) : skills,
                marks.after(mark));
    }

    private Map<SkillKey, Skill> practised(String subject, Side side, PracticeDay done) {
        Map<SkillKey, Skill> all = new HashMap<>(skills);
        side.each()
                .forEach(one -> all.compute(
                        new SkillKey(subject, one),
                        (key, skill) -> skill == null ? Skill.begun(done) : skill.after(done)));
        return all;
    }

    /** Whether anything at all was practised. */
    public boolean introduced(String subject) {
        return skills.containsKey(new SkillKey(subject, Side.RIGHT))
                || skills.containsKey(new SkillKey(subject, Side.LEFT));
    }

    /** Sessions and fading on one side; without a side, the better practised of the two. */
    public Optional<Fading> on(String subject, Side side) {
        Stream<Side> sides = side == null || side == Side.BOTH ? Stream.of(Side.RIGHT, Side.LEFT) : Stream.of(side);
        return sides.map(one -> skills.get(new SkillKey(subject, one)))
                .filter(skill -> skill != null)
                .flatMap(skill -> skill.fading().stream())
                .max(java.util.Comparator.comparingInt(Fading::sessions).thenComparing(Fading::last));
    }
}
