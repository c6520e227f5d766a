package lynchet.core.rule;

/** A value that refused itself at its door, with the rule it broke and a sentence that names the thing. */
public final class Nonsense extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    /** What a value can be refused for. */
    public enum Rule {
        ID_FORM,
        TEXT_EMPTY,
        TEXT_LONG,
        MISSING,
        OUT_OF_RANGE,
        TOO_MANY,
        CONTROL,
        GROUP_FITS,
        REACTION_PLACE
    }

    private final Rule rule;

    public Nonsense(Rule rule, String sentence) {
        super(sentence);
        this.rule = rule;
    }

    public Rule rule() {
        return rule;
    }
}
