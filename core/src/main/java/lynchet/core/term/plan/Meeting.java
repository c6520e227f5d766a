package lynchet.core.term.plan;

import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.entity.PlanningPin;
import ai.timefold.solver.core.api.domain.lookup.PlanningId;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import org.jspecify.annotations.Nullable;

/** The n-th time that an item is met; which class it is in is the planner's to find. Mutable, as solving wants it. */
@PlanningEntity
public class Meeting {

    @PlanningId
    private String id;

    private Item item;
    private int n;

    @PlanningPin
    private boolean pinned;

    @PlanningVariable(allowsUnassigned = true)
    private @Nullable Lesson lesson;

    /** For the solver. */
    protected Meeting() {}

    Meeting(Item item, int n, @Nullable Lesson lesson, boolean isPinned) {
        this.id = item.id() + " " + n;
        this.item = item;
        this.n = n;
        this.lesson = lesson;
        this.pinned = isPinned;
    }

    public Item item() {
        return item;
    }

    public int n() {
        return n;
    }

    public @Nullable Lesson getLesson() {
        return lesson;
    }

    public void setLesson(@Nullable Lesson to) {
        lesson = to;
    }

    /** Its class, of one that has one. */
    Lesson there() {
        return java.util.Objects.requireNonNull(lesson);
    }

    /** Whether it stands in a class that takes nothing more, other than by what happened. */
    boolean isLate() {
        return !pinned && !there().open();
    }

    int minutes() {
        return item.minutes(n);
    }

    boolean isFirst() {
        return n == 0;
    }

    /** Whether it brings something new into its class. */
    boolean isNew() {
        return n == 0 && item.fresh();
    }

    boolean isNeeded() {
        return item.must() && n < Item.MEETINGS;
    }

    @Override
    public String toString() {
        return id;
    }
}
