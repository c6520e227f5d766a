package lynchet.server.keep;

/** To whom something is open; each includes those after it. */
public enum Who {
    /** Somebody who has not signed in. */
    STRANGERS,
    /** Everybody with an account. */
    ACCOUNTS,
    COACHES,
    HEADS
}
