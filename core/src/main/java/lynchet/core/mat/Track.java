package lynchet.core.mat;

import lynchet.core.map.Jacket;
import lynchet.core.rule.Say;

/** A stream of classes: juniors, fundamentals, no-jacket … */
public record Track(String id, String name, Jacket jacket) {
    public Track {
        Say.id("a track", id);
        Say.text("the name of track " + id, name, 60);
        jacket = jacket == null ? Jacket.EITHER : jacket;
    }
}
