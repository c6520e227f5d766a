package lynchet.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Accounts: made by the head coach, opened once by a link, switched off at once. */
@ExtendWith(RunningClub.class)
class AccountsTest {

    private static final String GOOD = "three words in a row";

    private final HttpUser head = RunningClub.as("head");
    private final String name = "a" + UUID.randomUUID().toString().substring(0, 8);

    private String link(String role) {
        return head.post("/api/accounts", "{\"name\":\"%s\",\"role\":\"%s\",\"person\":null}".formatted(name, role))
                .expect(200)
                .json()
                .path("link")
                .asString();
    }

    private HttpUser.Answer open(HttpUser user, String link, String password) {
        return user.post("/api/session/link", "{\"link\":\"%s\",\"password\":\"%s\"}".formatted(link, password));
    }

    private HttpUser opened(String role) {
        HttpUser user = RunningClub.stranger();
        open(user, link(role), GOOD).expect(200);
        return user;
    }

    private HttpUser.Answer become(String role, boolean off) {
        return head.put(
                "/api/accounts/" + name, "{\"role\":\"%s\",\"person\":null,\"isOff\":%s}".formatted(role, off), null);
    }

    @Test
    void aLinkSetsThePasswordOnceAndSignsIn() {
        String link = link("COACH");
        HttpUser marta = RunningClub.stranger();
        assertThat(marta.post("/api/session/link/look", "{\"link\":\"%s\"}".formatted(link))
                        .expect(200)
                        .json()
                        .path("name")
                        .asString())
                .isEqualTo(name);
        assertThat(open(marta, link, GOOD).expect(200).json().path("role").asString())
                .isEqualTo("COACH");
        marta.get("/api/people/names").expect(200);
        assertThat(open(RunningClub.stranger(), link, GOOD).code()).isEqualTo("LINK_USED");
        HttpUser elsewhere = RunningClub.stranger();
        elsewhere.signIn(name, GOOD);
        elsewhere.get("/api/people/names").expect(200);
    }

    private JsonNode seen() {
        for (JsonNode one : head.get("/api/accounts").expect(200).json()) {
            if (one.path("name").asString().equals(name)) {
                return one;
            }
        }
        throw new AssertionError("the head coach does not see " + name);
    }

    /** What the journal says was done to the account, the newest first. */
    private List<String> written() {
        List<String> all = new ArrayList<>();
        for (JsonNode edit : head.get("/api/edits").expect(200).json()) {
            for (JsonNode thing : edit.path("things")) {
                if (thing.path("id").asString().equals(name)) {
                    all.add(thing.path("what").asString());
                }
            }
        }
        return all;
    }

    @Test
    void theHeadCoachSeesEachAccountAsItStandsAndWhatWasDoneToItIsWrittenDown() {
        JsonNode made = head.post(
                        "/api/accounts",
                        "{\"name\":\"%s\",\"role\":\"COACH\",\"person\":\"kit-harrowgate\"}".formatted(name))
                .expect(200)
                .json();
        assertThat(seen()).isEqualTo(made.path("account"));
        assertThat(seen().path("person").asString()).isEqualTo("kit-harrowgate");
        assertThat(seen().path("hasPassword").asBoolean()).isFalse();
        assertThat(seen().path("linkUntil").isNull()).isFalse();
        assertThat(written()).containsExactly("ADDED");

        open(RunningClub.stranger(), made.path("link").asString(), GOOD).expect(200);
        assertThat(seen().path("hasPassword").asBoolean()).isTrue();
        assertThat(seen().path("linkUntil").isNull()).as("the link is used").isTrue();
        head.post("/api/accounts/" + name + "/link", "{}").expect(200);
        assertThat(seen().path("linkUntil").isNull()).as("another one is open").isFalse();
        assertThat(written()).hasSize(2);

        assertThat(become("VIEWER", false).expect(200).json()).isEqualTo(seen());
        assertThat(seen().path("role").asString()).isEqualTo("VIEWER");
        become("VIEWER", false).expect(200);
        assertThat(written())
                .as("what changes nothing is not written")
                .hasSize(3)
                .startsWith("CHANGED");
    }

    /** Eight who have the link open it in one moment. */
    @Test
    void ofManyWithOneLinkOneComesIn() throws Exception {
        String link = link("COACH");
        ExecutorService eight = Executors.newFixedThreadPool(8);
        List<Callable<Integer>> each = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            HttpUser user = RunningClub.stranger();
            each.add(() -> open(user, link, GOOD).status());
        }
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> done : eight.invokeAll(each)) {
            answers.add(done.get());
        }
        eight.shutdown();
        assertThat(answers).containsOnlyOnce(200).contains(410);
        assertThat(answers).containsOnly(200, 410);
    }

    @Test
    void whoIsSwitchedOffCannotUseALinkThatWasGivenBefore() {
        String link = link("COACH");
        become("COACH", true).expect(200);
        assertThat(open(RunningClub.stranger(), link, GOOD).code()).isEqualTo("LINK_USED");
    }

    @Test
    void aNameIsKeptAsTypedAndMatchedWithoutCapitals() {
        String typed = "Sarah Müller " + name.toUpperCase(Locale.ROOT);
        String link = head.post(
                        "/api/accounts", "{\"name\":\" %s \",\"role\":\"COACH\",\"person\":null}".formatted(typed))
                .expect(200)
                .json()
                .path("link")
                .asString();
        open(RunningClub.stranger(), link, GOOD).expect(200);
        HttpUser sarah = RunningClub.stranger();
        sarah.signIn(typed.toLowerCase(Locale.ROOT), GOOD);
        assertThat(sarah.get("/api/session").json().path("name").asString()).isEqualTo(typed);
        assertThat(head.post(
                                "/api/accounts",
                                "{\"name\":\"%s\",\"role\":\"COACH\",\"person\":null}"
                                        .formatted(typed.toUpperCase(Locale.ROOT)))
                        .code())
                .isEqualTo("ID_TAKEN");
        String path = "/api/accounts/"
                + URLEncoder.encode(typed.toLowerCase(Locale.ROOT), StandardCharsets.UTF_8)
                        .replace("+", "%20");
        head.put(path, "{\"role\":\"COACH\",\"person\":null,\"isOff\":true}", null)
                .expect(200);
        assertThat(sarah.get("/api/session").status())
                .as("signed out by any spelling")
                .isEqualTo(401);
    }

    @Test
    void aNewLinkEndsTheOneBeforeAndThePasswordWorksUntilItIsUsed() {
        HttpUser user = opened("COACH");
        String first = head.post("/api/accounts/" + name + "/link", "{}")
                .json()
                .path("link")
                .asString();
        String second = head.post("/api/accounts/" + name + "/link", "{}")
                .json()
                .path("link")
                .asString();
        assertThat(open(RunningClub.stranger(), first, GOOD).code()).isEqualTo("LINK_USED");
        user.get("/api/people/names").expect(200);
        open(RunningClub.stranger(), second, "another few words").expect(200);
        assertThat(user.get("/api/people/names").status())
                .as("other sessions end")
                .isEqualTo(401);
    }

    @ParameterizedTest
    @CsvSource({
        "short, PASSWORD_SHORT",
        "'        ab        ', PASSWORD_SHORT",
        "password2026!, PASSWORD_COMMON",
        "aaaaaaaaaaaaaaaa, PASSWORD_COMMON",
        "1234567890, PASSWORD_COMMON"
    })
    void aBadPasswordIsRefusedAndTheLinkStillWorks(String password, String code) {
        String link = link("COACH");
        assertThat(open(RunningClub.stranger(), link, password).code()).isEqualTo(code);
        assertThat(open(RunningClub.stranger(), link, name + "12").code()).isEqualTo("PASSWORD_NAME");
        open(RunningClub.stranger(), link, GOOD).expect(200);
    }

    @Test
    void aLongPasswordCountsToItsLastLetter() {
        String link = link("COACH");
        String longOne = "a sentence that goes on and on until nobody remembers how it began, which is fine, or is it";
        open(RunningClub.stranger(), link, longOne + "?").expect(200);
        HttpUser user = RunningClub.stranger();
        assertThat(user.post("/api/session", "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, longOne + "!"))
                        .status())
                .isEqualTo(401);
        user.signIn(name, longOne + "?");
    }

    @Test
    void whoIsSwitchedOffIsSignedOutAtOnceAndComesBackWhenSwitchedOn() {
        HttpUser user = opened("COACH");
        become("COACH", true).expect(200);
        assertThat(user.get("/api/people/names").status()).isEqualTo(401);
        HttpUser again = RunningClub.stranger();
        assertThat(again.post("/api/session", "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, GOOD))
                        .status())
                .isEqualTo(401);
        assertThat(head.post("/api/accounts/" + name + "/link", "{}").code()).isEqualTo("ACCOUNT_OFF");
        become("COACH", false).expect(200);
        RunningClub.stranger().signIn(name, GOOD);
    }

    @Test
    void anotherRoleHoldsFromTheNextSignIn() {
        HttpUser user = opened("VIEWER");
        assertThat(user.get("/api/accounts").status()).isEqualTo(403);
        become("HEAD", false).expect(200);
        assertThat(user.get("/api/accounts").status()).isEqualTo(401);
        HttpUser again = RunningClub.stranger();
        again.signIn(name, GOOD);
        again.get("/api/accounts").expect(200);
        become("VIEWER", false).expect(200);
    }

    /** The demo's head coach and another one take each other's part in the same moment, again and again. */
    @Test
    void aHeadCoachRemains() throws Exception {
        try (var club = RunningClub.another()) {
            HttpUser first = RunningClub.head(club);
            String link = first.post("/api/accounts", "{\"name\":\"second\",\"role\":\"HEAD\",\"person\":null}")
                    .json()
                    .path("link")
                    .asString();
            assertThat(first.put("/api/accounts/head", "{\"role\":\"COACH\",\"person\":null,\"isOff\":false}", null)
                            .code())
                    .as("whoever has not opened their link cannot take over")
                    .isEqualTo("LAST_HEAD");
            assertThat(first.put("/api/accounts/head", "{\"role\":\"HEAD\",\"person\":null,\"isOff\":true}", null)
                            .code())
                    .as("nor is the last one switched off")
                    .isEqualTo("LAST_HEAD");
            HttpUser second = RunningClub.strangerOf(club);
            open(second, link, GOOD).expect(200);
            String off = "{\"role\":\"HEAD\",\"person\":null,\"isOff\":true}";
            ExecutorService both = Executors.newFixedThreadPool(2);
            List<Callable<Integer>> each = List.of(
                    () -> first.put("/api/accounts/second", off, null).status(),
                    () -> second.put("/api/accounts/head", off, null).status());
            List<Future<Integer>> done = both.invokeAll(each);
            both.shutdown();
            assertThat(List.of(done.get(0).get(), done.get(1).get())).containsOnlyOnce(200);
        }
    }

    @Test
    void oneChangesOnesOwnPasswordAndIsSignedOutElsewhere() {
        HttpUser here = opened("COACH");
        HttpUser elsewhere = RunningClub.stranger();
        elsewhere.signIn(name, GOOD);
        assertThat(here.get("/api/session/mine").expect(200).json()).hasSize(2);
        assertThat(here.post("/api/session/password", "{\"old\":\"wrong\",\"password\":\"a few other words\"}")
                        .code())
                .isEqualTo("WRONG_PASSWORD");
        here.post("/api/session/password", "{\"old\":\"%s\",\"password\":\"a few other words\"}".formatted(GOOD))
                .expect(204);
        here.get("/api/people/names").expect(200);
        assertThat(elsewhere.get("/api/people/names").status()).isEqualTo(401);
        assertThat(here.get("/api/session/mine").json()).hasSize(1);
        RunningClub.stranger().signIn(name, "a few other words");
    }

    @Test
    void oneEndsOnesOwnSessionsOnly() {
        HttpUser user = opened("COACH");
        HttpUser elsewhere = RunningClub.stranger();
        elsewhere.signIn(name, GOOD);
        String other = "";
        for (var session : user.get("/api/session/mine").json()) {
            other = session.path("isThis").asBoolean()
                    ? other
                    : session.path("id").asString();
        }
        head.send("DELETE", "/api/session/mine/" + other, null, null).expect(404);
        elsewhere.get("/api/people/names").expect(200);
        user.send("DELETE", "/api/session/mine/" + other, null, null).expect(204);
        assertThat(elsewhere.get("/api/people/names").status()).isEqualTo(401);
        user.get("/api/people/names").expect(200);
    }

    @Test
    void badAccountsAreRefusedWithWhatAndWhere() {
        link("COACH");
        assertThat(head.post("/api/accounts", "{\"name\":\"%s\",\"role\":\"COACH\",\"person\":null}".formatted(name))
                        .code())
                .isEqualTo("ID_TAKEN");
        for (String bad : List.of("Two  words", " ", "a/b", "-a", "a..b", "<b>")) {
            assertThat(head.post("/api/accounts", "{\"name\":\"%s\",\"role\":\"COACH\",\"person\":null}".formatted(bad))
                            .code())
                    .as(bad)
                    .isEqualTo("ID_FORM");
        }
        for (String hidden : List.of("tab\\there", "nul\\u0000l", "turned\\u202e")) {
            assertThat(head.post(
                                    "/api/accounts",
                                    "{\"name\":\"%s\",\"role\":\"COACH\",\"person\":null}".formatted(hidden))
                            .code())
                    .as(hidden)
                    .isEqualTo("TEXT_HIDDEN");
        }
        String longest = name + "x".repeat(Accounts.LONGEST_NAME - name.length());
        assertThat(head.post(
                                "/api/accounts",
                                "{\"name\":\"%sx\",\"role\":\"COACH\",\"person\":null}".formatted(longest))
                        .code())
                .isEqualTo("TEXT_LONG");
        head.post("/api/accounts", "{\"name\":\"%s\",\"role\":\"COACH\",\"person\":null}".formatted(longest))
                .expect(200);
        assertThat(head.post("/api/accounts", "{\"name\":\"nobody\",\"role\":\"COACH\",\"person\":\"not-here\"}")
                        .json()
                        .path("where")
                        .asString())
                .isEqualTo("/person");
        assertThat(head.post("/api/accounts", "{\"name\":\"nobody\",\"person\":null}")
                        .status())
                .isEqualTo(422);
        assertThat(head.put("/api/accounts/not-here", "{\"role\":\"COACH\",\"person\":null,\"isOff\":false}", null)
                        .status())
                .isEqualTo(404);
    }

    @Test
    void nobodyMarksOrPromotesThemselves() {
        HttpUser user = opened("HEAD");
        String mark =
                "{\"id\":\"m-%s-%s\",\"student\":\"%s\",\"subject\":\"arm-lock\",\"standard\":\"SHOWN\",\"passed\":true}";
        String self = "orla-fenwick";
        user.post("/api/marks", mark.formatted(name, "before", self)).expect(200);
        user.put("/api/accounts/" + name, "{\"role\":\"HEAD\",\"person\":\"" + self + "\",\"isOff\":false}", null)
                .expect(200);
        assertThat(user.post("/api/marks", mark.formatted(name, "own", self)).code())
                .isEqualTo("OWN_JUDGEMENT");
        user.post("/api/marks", mark.formatted(name, "other", "kit-harrowgate")).expect(200);
        String promotion = "{\"id\":\"pr-%s\",\"student\":\"%s\",\"ladder\":\"adult\",\"to\":\"green\",\"stripes\":0,"
                + "\"date\":\"2026-11-24\",\"fromBefore\":false,\"figures\":[]}";
        assertThat(user.post("/api/promotions", promotion.formatted(name, self)).code())
                .isEqualTo("OWN_JUDGEMENT");
        RunningClub.as("head")
                .post("/api/marks", mark.formatted(name, "by-another", self))
                .expect(200);
        head.post("/api/people/" + self + "/holds", "{\"reason\":\"calm first\"}")
                .expect(200);
        assertThat(user.post("/api/people/" + self + "/holds/lift", null).code())
                .as("nor lifts their own hold")
                .isEqualTo("OWN_JUDGEMENT");
        head.post("/api/people/" + self + "/limits", "{\"kind\":\"NO_LIVE\",\"from\":\"2026-11-24\"}")
                .expect(200);
        assertThat(user.post("/api/people/" + self + "/limits/lift", "{\"kind\":\"NO_LIVE\"}")
                        .code())
                .isEqualTo("OWN_JUDGEMENT");
        head.post("/api/people/" + self + "/limits/lift", "{\"kind\":\"NO_LIVE\"}")
                .expect(200);
        head.post("/api/people/" + self + "/holds/lift", null).expect(200);
        become("VIEWER", true).expect(200);
    }

    @ParameterizedTest
    @CsvSource({"coach", "viewer"})
    void onlyTheHeadCoachSeesAndMakesAccounts(String account) {
        HttpUser user = RunningClub.as(account);
        for (String path : List.of("/api/accounts", "/api/accounts/head/link")) {
            assertThat(user.post(path, "{}").status()).as(path).isEqualTo(403);
            assertThat(RunningClub.stranger().post(path, "{}").status())
                    .as(path)
                    .isEqualTo(401);
        }
        assertThat(user.get("/api/accounts").status()).isEqualTo(403);
        assertThat(user.put("/api/accounts/head", "{}", null).status()).isEqualTo(403);
        assertThat(RunningClub.stranger().get("/api/session/mine").status()).isEqualTo(401);
        assertThat(RunningClub.stranger().post("/api/session/password", "{}").status())
                .isEqualTo(401);
    }
}
