package lynchet.core.rule;

/** A value that refused itself at its door, with the rule it broke and a sentence that names the thing. */
public final class Nonsense extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    /** What a value can be refused for. */
    public enum Rule {
        ID_FORM,
        TEXT_EMPTY,
        TEXT_LONG,
        TEXT_HIDDEN,
        NOT_VALID,
        MISSING,
        OUT_OF_RANGE,
        TOO_MANY,
        CONTROL,
        GROUP_FITS,
        REACTION_PLACE,
        HEAD_KNOCK_OPEN,
        LIMIT_DAYS
    }

    private final Rule rule;
    private final String where;

    public Nonsense(Rule rule, String sentence) {
        this(rule, null, sentence);
    }

    /** @param where path of the field, such as {@code /faults/0/see}; null: the sentence names it */
    public Nonsense(Rule rule, String where, String sentence) {
        super(sentence);
        this.rule = rule;
        this.where = where;
    }

    public String where() {
        return where;
    }

    public Rule rule() {
        return rule;
    }
}
