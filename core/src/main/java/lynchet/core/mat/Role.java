package lynchet.core.mat;

/** Who does it, or who is thrown, passed, choked. */
public enum Role {
    PERFORMER,
    RECEIVER
}
