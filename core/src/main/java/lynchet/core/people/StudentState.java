package lynchet.core.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.mat.Mark;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.rule.Require;

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
    private final List<Brought> brought;
    private final Map<SkillKey, Skill> broughtSkills = new HashMap<>();
    private MarkBook marks;

    /**
     * @param skills what was practised here
     * @param marks the marks that stand
     * @param brought what came from elsewhere; skills that were practised since know of it already
     */
    public StudentState(
            LocalDate lastSeen,
            Map<String, LadderCount> ladders,
            Map<SkillKey, Skill> skills,
            MarkBook marks,
            List<Brought> brought) {
        this.lastSeen = lastSeen;
        this.ladders = ladders;
        this.skills = skills;
        this.brought = new ArrayList<>();
        this.marks = Require.present("the marks of a state", marks);
        brought.forEach(this::know);
    }

    /** Nothing recorded yet. */
    public static StudentState empty() {
        return new StudentState(null, Map.of(), Map.of(), new MarkBook(Map.of()), List.of());
    }

    private void know(Brought more) {
        brought.add(more);
        marks = marks.with(brought);
        broughtKeys(more)
                .forEach(key -> broughtSkills.merge(
                        key,
                        Skill.brought(more.on()),
                        (one, other) ->
                                one.latest().day().isBefore(other.latest().day()) ? other : one));
    }

    private static Set<SkillKey> broughtKeys(Brought brought) {
        return brought.had().stream()
                .filter(had -> had.role() == Role.PERFORMER)
                .flatMap(had -> had.side().each().stream().map(side -> new SkillKey(had.subject(), side)))
                .collect(Collectors.toSet());
    }

    /** The day of the latest class; null: never here. */
    public LocalDate lastSeen() {
        return lastSeen;
    }

    /** Ranks held with the classes counted since, by ladder. */
    public Map<String, LadderCount> ladders() {
        return Collections.unmodifiableMap(ladders);
    }

    /** What was practised here, by technique and side; what was only brought is not among it. */
    public Map<SkillKey, Skill> skills() {
        return Collections.unmodifiableMap(skills);
    }

    /** What came from elsewhere, with who said so. */
    public List<Brought> brought() {
        return Collections.unmodifiableList(brought);
    }

    /** Breakfalls that were brought and that nobody here has seen yet, in order of id. */
    public List<String> unseenFalls() {
        return brought.stream()
                .flatMap(one -> one.falls().stream())
                .distinct()
                .sorted()
                .filter(marks::isOnlyBrought)
                .toList();
    }

    /** Subjects of which anything is remembered, practised here or brought. */
    public Set<String> remembered() {
        return Stream.concat(skills.keySet().stream(), broughtSkills.keySet().stream())
                .map(SkillKey::subject)
                .collect(Collectors.toSet());
    }

    private Skill skill(SkillKey key) {
        Skill practised = skills.get(key);
        return practised == null ? broughtSkills.get(key) : practised;
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
        if (event instanceof StudentEvent.Came came) {
            LocalDate on = came.brought().on();
            return broughtKeys(came.brought()).stream()
                    .map(skills::get)
                    .allMatch(skill -> skill == null || !skill.latest().day().isAfter(on));
        }
        return !(event instanceof StudentEvent.Promoted);
    }

    private boolean takes(String subject, Side side, PracticeDay done) {
        return side.each().stream()
                .map(one -> skill(new SkillKey(subject, one)))
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
                lastSeen, new HashMap<>(ladders), new HashMap<>(skills), new MarkBook(marks.standing()), brought);
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
        } else if (event instanceof StudentEvent.Came came) {
            broughtKeys(came.brought())
                    .forEach(key -> skills.computeIfPresent(
                            key, (k, skill) -> skill.andBrought(came.brought().on())));
            know(came.brought());
        }
    }

    private void practised(String subject, Side side, PracticeDay done) {
        side.each().stream().map(one -> new SkillKey(subject, one)).forEach(key -> {
            Skill was = skill(key);
            skills.put(key, was == null ? Skill.begun(done) : was.after(done));
        });
    }

    /** Whether anything at all was practised, here or before. */
    public boolean introduced(String subject) {
        return side(subject, Side.BOTH).findAny().isPresent();
    }

    private Stream<Skill> side(String subject, Side side) {
        return side.each().stream()
                .map(one -> skill(new SkillKey(subject, one)))
                .filter(Objects::nonNull);
    }

    /** Sessions and fading on one side; without a side, the better practised of the two. */
    public Optional<Fading> on(String subject, Side side) {
        return side(subject, side == null ? Side.BOTH : side)
                .flatMap(skill -> skill.fading().stream())
                .max(java.util.Comparator.comparingInt(Fading::sessions).thenComparing(Fading::last));
    }
}
