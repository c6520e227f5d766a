package lynchet.core.map;

import lynchet.core.rule.Say;

/**
 * One step of a technique in the order of the body's work.
 *
 * @param cue a few words to say out loud; may be null
 * @param footwork which foot goes where; may be null
 */
public record Step(String text, String cue, String footwork) {
    public Step {
        Say.text("a step", text, 400);
        Say.notLonger("the cue of a step", cue, 120);
        Say.notLonger("the footwork of a step", footwork, 200);
    }
}
