package lynchet.server.account;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import lynchet.core.rule.Require;
import lynchet.server.exchange.Library;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Sha256;
import lynchet.starter.StarterChoice;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who may sign in. A new club has nobody: the first page makes the head coach, with a code from the console. The head
 * coach makes the others; each chooses a password of their own by a link that works once.
 */
@Service
public class Accounts {

    static final int LONGEST_NAME = 40;
    private static final Pattern NAME = Pattern.compile("[\\p{L}\\p{M}\\p{Nd}]+(?:[ ._-][\\p{L}\\p{M}\\p{Nd}]+)*");
    static final Duration LINK_HOLDS = Duration.ofDays(7);

    private final AccountRepository accounts;
    private final Library library;
    private final Passwords passwords;
    private final OpenSessions sessions;
    private final Journal journal;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();
    private final String firstCode;

    Accounts(
            AccountRepository accounts,
            Library library,
            Passwords passwords,
            OpenSessions sessions,
            Journal journal,
            Clock clock) {
        this.accounts = accounts;
        this.library = library;
        this.passwords = passwords;
        this.sessions = sessions;
        this.journal = journal;
        this.clock = clock;
        byte[] code = new byte[4];
        random.nextBytes(code);
        this.firstCode = HexFormat.of().formatHex(code);
    }

    /**
     * An account as the head coach sees it.
     *
     * @param person id of the person whose it is; null: not said
     * @param isOff whether nobody can sign in with it
     * @param hasPassword false until its first link is used
     * @param hasSecond whether a code is asked for beside the password
     * @param linkUntil until when a link that was given still works; null: none is open
     */
    public record AccountView(
            String name,
            Role role,
            @Nullable String person,
            boolean isOff,
            boolean hasPassword,
            boolean hasSecond,
            @Nullable Instant linkUntil) {}

    /** A link that sets a password once, shown this once; its text is not kept. */
    record Given(AccountView account, String link) {}

    /** The one-time code for making the head coach; only while there is no account. */
    public Optional<String> firstCode() {
        return accounts.count() == 0 ? Optional.of(firstCode) : Optional.empty();
    }

    /** Somebody who may come in: the name as it is kept, and what they may do. */
    record Entering(String name, Role role) {}

    /** Who comes in, if name and password fit; takes as long when the name is unknown. */
    Optional<Entering> signIn(String name, String password) {
        Optional<Account> account = accounts.named(name);
        boolean fits = passwords.fits(password, account.map(Account::password).orElse(null));
        return account.filter(found -> fits && !found.isOff()).map(found -> new Entering(found.name(), found.role()));
    }

    /** An account's name as it is kept, however it was typed. */
    Optional<String> spelled(String typed) {
        return accounts.named(typed).map(Account::name);
    }

    /** Adds the demo accounts, which share one password. */
    public void addForDemo(Map<String, Role> roles, String password) {
        String hash = passwords.digestForDemo(password);
        roles.forEach((name, role) -> accounts.save(new Account(name, hash, role)));
    }

    /** Makes the head coach and gives the club what it chose to begin with, both or neither; nobody else may write. */
    @Transactional
    String makeFirst(String code, String typed, String password, String clubName, StarterChoice choice) {
        if (firstCode().isEmpty()) {
            throw Refusal.of(HttpStatus.CONFLICT, "NOT_FIRST", null, "This club already has a head coach.");
        }
        if (!firstCode.equals(code)) {
            throw Refusal.of(HttpStatus.FORBIDDEN, "CODE_WRONG", "/code", "That is not the code on the console.");
        }
        String name = named(typed);
        accounts.save(new Account(name, passwords.digest(password, name), Role.HEAD));
        library.begin(clubName, choice == null ? StarterChoice.WHOLE : choice);
        return name;
    }

    /** The name as it will be kept; it is matched without case. */
    private static String named(String name) {
        String stripped = Require.present("the name of the account", name).strip();
        if (stripped.length() > LONGEST_NAME) {
            throw Refusal.bad("TEXT_LONG", "/name", "An account's name has at most " + LONGEST_NAME + " characters.");
        }
        if (!NAME.matcher(stripped).matches()) {
            throw Refusal.bad(
                    "ID_FORM",
                    "/name",
                    "An account's name is made of letters and digits, with single spaces, dots, hyphens or underscores between them.");
        }
        return stripped;
    }

    public List<AccountView> all() {
        return accounts.findAllByOrderByName().stream().map(this::view).toList();
    }

    /** Makes an account that its owner opens with the link. */
    @Transactional
    Given add(String typed, Role role, String person) {
        String name = named(typed);
        accounts.named(name).ifPresent(there -> {
            throw Refusal.taken("/name", "There is already an account " + there.name() + ".");
        });
        Account account = new Account(name, null, Require.present("the role of this account", role));
        account.become(role, person, false);
        String link = give(account);
        accounts.save(account);
        journal.write("add", "account", name, null, view(account));
        return new Given(view(account), link);
    }

    /** Changes what an account may do, whose it is, or switches it off; the person who is signed in with it is signed out. */
    @Transactional
    AccountView change(String typed, Role role, String person, boolean off) {
        Account account = one(typed);
        String name = account.name();
        AccountView before = view(account);
        Require.present("the role of this account", role);
        boolean staysHead = role == Role.HEAD && !off;
        if (isActiveHead(account) && !staysHead && heads() == 1) {
            throw Refusal.of(
                    HttpStatus.CONFLICT,
                    "LAST_HEAD",
                    "/role",
                    name + " is the only head coach who can sign in. Make another one first.");
        }
        account.become(role, person, off);
        if (!before.equals(view(account))) {
            journal.write("change", "account", name, before, view(account));
        }
        if (off || before.role() != role) {
            sessions.endAll(name);
        }
        return view(account);
    }

    private long heads() {
        return accounts.countByRoleAndIsOffFalseAndPasswordIsNotNull(Role.HEAD);
    }

    private static boolean isActiveHead(Account account) {
        return account.role() == Role.HEAD && !account.isOff() && account.password() != null;
    }

    /** A new link for somebody who forgot their password or never used the first link; the old password works till then. */
    @Transactional
    Given link(String typed) {
        Account account = one(typed);
        String name = account.name();
        if (account.isOff()) {
            throw Refusal.of(HttpStatus.CONFLICT, "ACCOUNT_OFF", "/name", name + " is switched off.");
        }
        String link = give(account);
        journal.write("link", "account", name, null, view(account));
        return new Given(view(account), link);
    }

    private String give(Account account) {
        byte[] bytes = new byte[18];
        random.nextBytes(bytes);
        String link = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        account.give(digest(link), clock.instant().plus(LINK_HOLDS).truncatedTo(ChronoUnit.SECONDS));
        return link;
    }

    private static String digest(String link) {
        return HexFormat.of().formatHex(Sha256.of(link));
    }

    /** Whose link it is, while it works. */
    @Transactional(readOnly = true)
    AccountView opened(String link) {
        return view(byLink(link, accounts::findByLink));
    }

    /** Sets a password by a link, which is used up; other sessions of the account end. */
    @Transactional
    AccountView enter(String link, String password) {
        Account account = byLink(link, accounts::holdByLink);
        account.secure(passwords.digest(password, account.name()));
        account.askNoSecond();
        sessions.endAll(account.name());
        return view(account);
    }

    private Account byLink(String link, Function<String, Optional<Account>> find) {
        return find.apply(digest(link == null ? "" : link))
                .filter(account -> !account.isOff() && account.linkUntil().isAfter(clock.instant()))
                .orElseThrow(() -> Refusal.of(
                        HttpStatus.GONE,
                        "LINK_USED",
                        "/link",
                        "This link has been used or is too old. A head coach can give you a new one."));
    }

    /** @throws Refusal 422 unless it is the password of this account */
    void isPasswordOf(String name, String password) {
        if (!passwords.fits(password == null ? "" : password, one(name).password())) {
            throw Refusal.bad("WRONG_PASSWORD", "/old", "That is not your password.");
        }
    }

    /** Changes one's own password; one's other sessions end. */
    @Transactional
    void changePassword(String name, String old, String fresh) {
        Account account = one(name);
        isPasswordOf(name, old);
        account.secure(passwords.digest(fresh, name));
    }

    private Account one(String name) {
        return accounts.named(name).orElseThrow(() -> Refusal.missing("account", name));
    }

    private AccountView view(Account account) {
        boolean isOpen = account.linkUntil() != null && account.linkUntil().isAfter(clock.instant());
        return new AccountView(
                account.name(),
                account.role(),
                account.person(),
                account.isOff(),
                account.password() != null,
                account.secondKey() != null,
                isOpen ? account.linkUntil() : null);
    }
}
