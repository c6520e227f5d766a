package lynchet.core.words;

import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;

/**
 * A word of the mat, taken apart.
 *
 * @param tongue where it comes from: Japanese, wrestling, plain
 * @param parts the pieces it is made of, in order; none when it is one piece
 * @param techniques ids of the techniques that it names or belongs to
 */
public record Word(
        String id,
        String term,
        @Most(40) String tongue,
        List<Part> parts,
        @Most(300) String meaning,
        List<String> techniques) {

    /** A piece of a word and what it means: "soto", "outer". */
    public record Part(@Most(40) String text, String meaning) {
        public Part {
            Require.text("a part of a term", text);
            Require.text("the meaning of the part " + text, meaning);
        }
    }

    public Word {
        Require.id("a word", id);
        Require.text("this word", term);
        parts = Require.list(parts);
        Require.text("the meaning of this word", meaning);
        techniques = Require.list(techniques);
    }
}
