package lynchet.core.mat;

import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;

/** The blocks of a class that was worth keeping, to begin another one from. */
public record ClassPattern(String id, @Most(100) String name, List<Block> blocks) {

    public ClassPattern {
        Require.id("a pattern", id);
        Require.text("the name of this pattern", name);
        blocks = Require.list(blocks);
        if (blocks.isEmpty()) {
            throw new IllegalArgumentException("this pattern has no block, so there is nothing to begin from");
        }
        if (blocks.stream().map(Block::id).distinct().count() != blocks.size()) {
            throw new IllegalArgumentException("this pattern names a block twice");
        }
    }

    /** The same pattern made of other blocks. */
    public ClassPattern withBlocks(List<Block> others) {
        return new ClassPattern(id, name, others);
    }
}
