package lynchet.core.club;

/** What things of a club point at. */
public enum Target {
    POSITION("a position"),
    TECHNIQUE("a technique"),
    /** Written technique/version. */
    VERSION("a version of a technique"),
    /** Written technique/fault. */
    FAULT("a fault of a technique"),
    LINK("a link"),
    REACTION("a reaction"),
    RULESET("a ruleset"),
    CHAIN("a chain"),
    LADDER("a ladder"),
    /** Rank ids are unique in the whole club. */
    RANK("a rank"),
    /** Written ladder/rank. */
    RANK_OF_LADDER("a rank of the ladder"),
    /** What practice and marks are about: a technique, a chain or a syllabus item. */
    SUBJECT("a technique, chain or syllabus item"),
    TRACK("a track"),
    SLOT("a slot of a track"),
    TERM("a term"),
    STUDENT("a student"),
    CLASS("a class"),
    GRADING("a grading"),
    /** Written student/mark: a mark takes back only one of the same student. */
    MARK("a mark of the same student"),
    /** Written student/promotion: one corrects only one of the same student. */
    PROMOTION("a promotion of the same student");

    private final String words;

    Target(String words) {
        this.words = words;
    }

    /** "a link", for sentences. */
    public String words() {
        return words;
    }

    /** Whether two things may not offer the same. */
    boolean isUnique() {
        return this == POSITION || this == RANK || this == SLOT;
    }
}
