package lynchet.server.keep;

/** The data has been opened again beneath a running server: whatever is remembered of it is read again. */
public record Reopened() {}
