package lynchet.core.rule;

import java.util.Map;

/** A value with rules of its own that hold where it comes in, and not where it is read from the disk. */
public interface Sound {

    /** What is wrong with it, by field: the rest of a sentence that begins with the field. */
    Map<String, String> wrong();
}
