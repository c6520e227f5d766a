package lynchet.server.keep;

import org.springframework.security.core.Authentication;

/** What an account may see and change. */
public final class AccountRights {

    private AccountRights() {}

    /** Whether somebody sees only what is open to everybody with an account: no health, no ages, no contacts, no notes. */
    public static boolean isViewer(Authentication who) {
        return has(who, "ROLE_VIEWER");
    }

    public static boolean isHead(Authentication who) {
        return has(who, "ROLE_HEAD");
    }

    private static boolean has(Authentication who, String role) {
        return who.getAuthorities().stream().anyMatch(a -> role.equals(a.getAuthority()));
    }
}
