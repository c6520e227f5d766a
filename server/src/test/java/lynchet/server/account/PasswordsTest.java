package lynchet.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PasswordsTest {

    private final Passwords passwords = new Passwords();

    @Test
    void onlyTheOneThatEverybodyIsToldIsQuickToGuess() {
        String own = passwords.digest("a few words in a row", "anna");
        String demo = passwords.digestForDemo("saltmarsh");
        assertThat(own).startsWith("{sha256-bcrypt}$2a$10$");
        assertThat(demo).startsWith("{sha256-bcrypt}$2a$04$");
        assertThat(passwords.fits("saltmarsh", demo)).isTrue();
        assertThat(passwords.fits("saltmarsh", own)).isFalse();
    }
}
