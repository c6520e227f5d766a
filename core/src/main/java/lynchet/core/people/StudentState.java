package lynchet.core.people;

import java.time.LocalDate;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
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

    private LocalDate lastSeen;
    private final Map<String, LadderCount> ladders;
    private final Map<SkillKey, Skill> skills;
    private final MarkBook marks;

    public StudentState(
            LocalDate lastSeen, Map<String, LadderCount> ladders, Map<SkillKey, Skill> skills, MarkBook marks) {
        this.lastSeen = lastSeen;
        this.ladders = ladders;
        this.skills = skills;
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
        return Collections.unmodifiableMap(ladders);
    }

    public Map<SkillKey, Skill> skills() {
        return Collections.unmodifiableMap(skills);
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
        return after(List.of(event));
    }

    /**
     * The state with more events, in their order; this one stays as it is.
     *
     * @throws IllegalArgumentException if one of them is not {@link #takes taken}
     */
    public StudentState after(List<StudentEvent> events) {
        StudentState next = new StudentState(
                lastSeen, new HashMap<>(ladders), new HashMap<>(skills), new MarkBook(marks.standing()));
        events.forEach(next::add);
        return next;
    }

    /** Only ever done to a copy that nobody has seen yet. */
    private void add(StudentEvent event) {
        if (!takes(event)) {
            throw new IllegalArgumentException("this is of a day that is over: " + event);
        }
        if (event instanceof StudentEvent.Attended there) {
            ladders.replaceAll((ladder, count) -> {
                Boolean oneADay = there.counts().get(ladder);
                return oneADay == null ? count : count.after(there.day(), oneADay);
            });
            lastSeen = lastSeen == null || there.day().isAfter(lastSeen) ? there.day() : lastSeen;
        } else if (event instanceof StudentEvent.Practised did) {
            practised(did.subject(), did.side(), did.done());
        } else if (event instanceof StudentEvent.Marked judged) {
            Mark mark = judged.mark();
            if (judged.isPractice()) {
                practised(mark.subject(), mark.side(), judged.done());
            }
            marks.add(mark);
        }
    }

    private void practised(String subject, Side side, PracticeDay done) {
        side.each()
                .forEach(one -> skills.compute(
                        new SkillKey(subject, one),
                        (key, skill) -> skill == null ? Skill.begun(done) : skill.after(done)));
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
