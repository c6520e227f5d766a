package lynchet.core.people;

import lynchet.core.rule.Most;
import org.jspecify.annotations.Nullable;

/**
 * How somebody is reached and whom to call; seen by coaches only.
 *
 * @param phone their own
 * @param email their own
 */
public record Contacts(
        @Most(40) @Nullable String phone,
        @Most(120) @Nullable String email,
        @Most(120) @Nullable String guardian,
        @Most(40) @Nullable String guardianPhone,
        @Most(120) @Nullable String guardianEmail,
        @Most(120) @Nullable String emergency,
        @Most(40) @Nullable String emergencyPhone) {

    public Contacts {
        address("e-mail address", email);
        address("guardian's e-mail address", guardianEmail);
    }

    private static void address(String whose, @Nullable String email) {
        if (email != null
                && !email.isBlank()
                && email.length() <= 120 // a longer one is the limits' business
                && !email.strip().matches("[^\\s@<>,;\"]+@[^\\s@<>,;\"]+\\.[^\\s@<>,;\"]+")) {
            throw new IllegalArgumentException("the " + whose + " " + email + " is not one");
        }
    }
}
