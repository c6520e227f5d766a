package lynchet.core.rule;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A record that says when it was made and by whom: the house writes both onto what was sent. */
public interface Stamped<T> {

    /** Made by the sender, so that a record that is sent twice is kept once. */
    String id();

    @Nullable
    Instant at();

    /** Name of the account. */
    @Nullable
    String by();

    /** The same record with another time and account. */
    T stamped(@Nullable Instant when, @Nullable String account);
}
