package lynchet.core.people;

import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import lynchet.core.rule.Most;
import lynchet.core.rule.Sound;
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
        @Most(40) @Nullable String emergencyPhone)
        implements Sound {

    /** A longer one is the business of the limits. */
    private static final int LONGEST_ADDRESS = 120;

    /** Shorter ones are an extension, or nothing. */
    private static final int SHORTEST_NUMBER = 5;

    public Contacts {
        address("e-mail address", email);
        address("guardian's e-mail address", guardianEmail);
    }

    /**
     * What somebody is reached by, as it is compared: addresses in small letters, numbers without blanks. People who share
     * one of these are one family.
     */
    public Set<String> reachedBy() {
        Set<String> all = new TreeSet<>();
        for (String address : new String[] {email, guardianEmail}) {
            if (address != null && !address.isBlank()) {
                all.add(address.strip().toLowerCase(Locale.ROOT));
            }
        }
        for (String number : new String[] {phone, guardianPhone}) {
            String digits = number == null ? "" : number.replaceAll("[^0-9]", "");
            if (digits.length() >= SHORTEST_NUMBER) {
                all.add(digits);
            }
        }
        return all;
    }

    /** The same with a number to call in an emergency. */
    static Contacts calling(@Nullable Contacts of, String number) {
        return of == null
                ? new Contacts(null, null, null, null, null, null, number)
                : new Contacts(
                        of.phone, of.email, of.guardian, of.guardianPhone, of.guardianEmail, of.emergency, number);
    }

    private static void address(String whose, @Nullable String email) {
        if (email != null
                && !email.isBlank()
                && email.length() <= LONGEST_ADDRESS
                && !email.strip().matches("[^\\s@<>,;\"]+@[^\\s@<>,;\"]+\\.[^\\s@<>,;\"]+")) {
            throw new IllegalArgumentException("the " + whose + " “" + email + "” is not one");
        }
    }

    /** Words with single dots between them, and a place of at least two names that neither begin nor end with a hyphen. */
    private static final Pattern ADDRESS =
            Pattern.compile("[A-Za-z0-9!#$%&'*+/=?^_`{|}~-]+(?:\\.[A-Za-z0-9!#$%&'*+/=?^_`{|}~-]+)*"
                    + "@(?:[\\p{L}0-9](?:[\\p{L}0-9-]*[\\p{L}0-9])?\\.)+[\\p{L}0-9](?:[\\p{L}0-9-]*[\\p{L}0-9])?");

    /** What a mail program would refuse to write to is found where it is typed, not on the evening a class is called off. */
    @Override
    public Map<String, String> wrong() {
        Map<String, String> wrong = new TreeMap<>();
        letter("email", email, wrong);
        letter("guardianEmail", guardianEmail, wrong);
        return wrong;
    }

    private static void letter(String field, @Nullable String address, Map<String, String> wrong) {
        if (address != null
                && !address.isBlank()
                && address.length() <= LONGEST_ADDRESS
                && !ADDRESS.matcher(address.strip()).matches()) {
            wrong.put(field, "is no address that a letter can go to");
        }
    }
}
