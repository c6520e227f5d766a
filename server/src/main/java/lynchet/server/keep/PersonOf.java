package lynchet.server.keep;

import java.util.Optional;

/** Whose account it is. Nobody marks, examines or promotes themselves. */
public interface PersonOf {

    /** Id of the person that an account names; empty: it names none, or there is no such account. */
    Optional<String> account(String name);

    /** Somebody is no person any more: whatever account named them names nobody. */
    void forget(String person);

    /** Whether something is about the person who is signed in: they do not read what others wrote of them. */
    default boolean isMyself(String student) {
        return account(Journal.who()).filter(student::equals).isPresent();
    }

    /**
     * Lets a judgement of somebody pass if the person who is signed in is somebody else.
     *
     * @param student id of the person who is judged
     * @throws Refusal 422 if it is their own
     */
    default void judges(String student) {
        if (isMyself(student)) {
            throw Refusal.bad("OWN_JUDGEMENT", "/student", "Nobody marks or promotes themselves; ask another coach.");
        }
    }
}
