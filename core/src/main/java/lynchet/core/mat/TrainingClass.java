package lynchet.core.mat;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * One dated class of a track, made of timed blocks.
 *
 * @param minutes its length, 5 to 480
 * @param slot id of the weekly time it stands in; null: outside any
 * @param term id of the term it belongs to; may be null
 * @param group which of several groups on one mat it is; null: all together
 * @param coach who gives it: the id of a person, an account, or a name as it was written; may be null
 * @param pinned whether a planner leaves it as it is
 * @param handOver what the person who covers needs to know; may be null
 * @param lanes how many pairs have room to throw at once, 0 to 60; 0: all of them
 * @param fallsReason why a head coach lets there be more falls than usual this once; null: there are not
 */
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
public record TrainingClass(
        String id,
        LocalDate date,
        LocalTime start,
        int minutes,
        String track,
        @Nullable String slot,
        @Nullable String term,
        @Most(40) @Nullable String group,
        @Most(80) @Nullable String coach,
        @Nullable String area,
        @Most(200) @Nullable String theme,
        List<Block> blocks,
        @Usual("false") boolean cancelled,
        @Usual("false") boolean pinned,
        @Most(500) @Nullable String handOver,
        @Usual("0") int lanes,
        @Most(200) @Nullable String fallsReason) {

    public TrainingClass {
        Require.id("a class", id);
        Require.present("the date of this class", date);
        Require.present("the start of this class", start);
        Require.within("the minutes of this class", minutes, 5, 480);
        Require.within("the lanes of this class", lanes, 0, 60);
        Require.present("the track of this class", track);
        blocks = Require.list(blocks);
        if (blocks.stream().map(Block::id).distinct().count() != blocks.size()) {
            throw new IllegalArgumentException("this class names a block twice");
        }
    }

    public Optional<Block> block(String blockId) {
        return blocks.stream().filter(block -> block.id().equals(blockId)).findFirst();
    }

    /** The same class, called off or taking place. */
    public TrainingClass calledOff(boolean isOff) {
        return TrainingClassBuilder.builder(this).cancelled(isOff).build();
    }

    /** The same class about something else. */
    public TrainingClass about(String otherTheme) {
        return TrainingClassBuilder.builder(this).theme(otherTheme).build();
    }

    /** The same class with another coach. */
    public TrainingClass givenBy(@Nullable String other) {
        return TrainingClassBuilder.builder(this).coach(other).build();
    }

    /** The same class made of other blocks. */
    public TrainingClass withBlocks(List<Block> others) {
        return TrainingClassBuilder.builder(this).blocks(others).build();
    }

    /** What somebody sees who does not give classes: not what coaches tell each other about those who come. */
    public TrainingClass withoutPrivate() {
        return TrainingClassBuilder.builder(this)
                .handOver(null)
                .fallsReason(null)
                .build();
    }
}
