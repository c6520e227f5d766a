package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import lynchet.core.rule.Limits;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ContactsTest {

    private static Contacts with(String email) {
        return new Contacts(null, email, null, null, null, null, null);
    }

    /** What a mail program refuses to write to is refused where it is typed, and not on the evening a class is called off. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "a..b@ex.org",
                ".a@ex.org",
                "a.@ex.org",
                "a(b@ex.org",
                "a:b@ex.org",
                "a[b@ex.org",
                "a@-ex..org",
                "a\u0001@ex.org",
                "a@ex\u2028.org",
                "a@ex-.org",
                "a@ex.org."
            })
    void noAddress(String email) {
        assertThat(wrong(with(email))).startsWith("/email");
        assertThat(wrong(new Contacts(null, null, null, null, email, null, null)))
                .startsWith("/guardianEmail");
    }

    /** Where it is refused: by the shape of it at once, else at the door. */
    private static String wrong(Contacts contacts) {
        return Limits.of(contacts).get(0).where();
    }

    @ParameterizedTest
    @ValueSource(strings = {"@ex.org", "a b@ex.org", "a@b@ex.org", "a@ex"})
    void notEvenLikeOne(String email) {
        assertThatThrownBy(() -> with(email)).hasMessage("the e-mail address “" + email + "” is not one");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "ada@ex.org",
                "ada.q+club@sub.ex-ample.org",
                "o'brien@ex.org",
                "a_b@1.org",
                "ada@bücher.example",
                " ada@ex.org "
            })
    void anAddress(String email) {
        assertThat(Limits.of(with(email))).isEmpty();
    }
}
