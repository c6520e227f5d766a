package lynchet.server.account;

/** What an account may do; each may do what the ones before it may. */
public enum Role {
    VIEWER,
    COACH,
    HEAD
}
