package lynchet.core.mat;

import io.soabase.recordbuilder.core.RecordBuilder;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * One timed part of a class.
 *
 * @param technique what is drilled; null where the block has none
 * @param version the version drilled; null: the house version
 * @param dose how much; null where the block has none
 * @param watchCue the one cue to say; may be null
 * @param watchFault fault id of the technique to watch for; may be null
 * @param fromStep first step drilled, 1 the first of the technique; 0: from the start
 * @param toStep last step drilled; 0: to the end
 * @param position where positional rounds start; null where the block has no such place
 * @param leads how the stances of those who work together are to meet
 * @param work seconds of one round, 0 to 3600; 0: the block is one
 * @param rest seconds between two rounds, 0 to 600
 */
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
public record Block(
        String id,
        Kind kind,
        @Most(100) String title,
        int minutes,
        @Nullable String technique,
        @Nullable String version,
        @Nullable String chain,
        @Nullable Dose dose,
        @Most(120) @Nullable String watchCue,
        @Nullable String watchFault,
        @Usual("0") int fromStep,
        @Usual("0") int toStep,
        @Nullable String position,
        Leads leads,
        @Usual("0") int work,
        @Usual("0") int rest) {

    private static final int MINUTE = 60;

    /** What happens in a block. */
    public enum Kind {
        WARM_UP,
        BREAKFALLS,
        EXPLAIN,
        PART_DRILL,
        WHOLE_DRILL,
        TIMED_ROUNDS,
        POSITIONAL_ROUNDS,
        FREE_ROUNDS,
        COOL_DOWN
    }

    public Block {
        Require.id("a block", id);
        Require.present("the kind of this block", kind);
        Require.text("the title of this block", title);
        Require.within("the minutes of this block", minutes, 1, 240);
        Require.within("the first step of this block", fromStep, 0, 20);
        Require.within("a round of this block", work, 0, 3600);
        Require.within("the rest of this block", rest, 0, 600);
        leads = leads == null ? Leads.ANY : leads;
        Require.within("the last step of this block", toStep, toStep == 0 ? 0 : fromStep, 20);
    }

    public boolean drills() {
        return kind == Kind.PART_DRILL || kind == Kind.WHOLE_DRILL || kind == Kind.BREAKFALLS;
    }

    /** Whether it is made of rounds against each other. */
    public boolean hasRounds() {
        return kind == Kind.TIMED_ROUNDS || kind == Kind.POSITIONAL_ROUNDS || kind == Kind.FREE_ROUNDS;
    }

    /** How many whole rounds fit, with rest between them but not after the last; 1 where a round takes the block. */
    public int rounds() {
        return work == 0 ? 1 : (minutes * MINUTE + rest) / (work + rest);
    }

    /** The same block drilling another technique in a version of it, with a fault of it to watch for. */
    public Block drilling(String otherTechnique, String otherVersion, String otherFault) {
        return BlockBuilder.builder(this)
                .technique(otherTechnique)
                .version(otherVersion)
                .watchFault(otherFault)
                .fromStep(0)
                .toStep(0)
                .build();
    }
}
