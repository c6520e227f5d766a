package lynchet.server.house;

import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import lynchet.core.rule.Say;
import lynchet.server.keep.Refusal;
import lynchet.starter.StarterChoice;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who may sign in. A new club has nobody: the first page makes the head coach, with a code from the console. */
@Service
public class Accounts {

    static final int SHORTEST_PASSWORD = 8;
    static final int LONGEST_NAME = 40;

    private final AccountRepository accounts;
    private final Library library;
    private final PasswordEncoder encoder = PasswordEncoderFactories.createDelegatingPasswordEncoder();
    private volatile String nobody;
    private final String firstCode;

    Accounts(AccountRepository accounts, Library library) {
        this.accounts = accounts;
        this.library = library;
        byte[] code = new byte[4];
        new SecureRandom().nextBytes(code);
        this.firstCode = HexFormat.of().formatHex(code);
    }

    /** The one-time code for making the head coach; only while there is no account. */
    Optional<String> firstCode() {
        return accounts.count() == 0 ? Optional.of(firstCode) : Optional.empty();
    }

    /** The role, if name and password fit; takes as long when the name is unknown. */
    Optional<Role> signIn(String name, String password) {
        Optional<Account> account = accounts.findById(name);
        boolean fits = encoder.matches(password, account.map(Account::password).orElseGet(this::nobody));
        return account.filter(found -> fits).map(Account::role);
    }

    /** What a password is compared with when the name is unknown, so that this takes as long. */
    private String nobody() {
        if (nobody == null) {
            nobody = encoder.encode("nobody has this password");
        }
        return nobody;
    }

    /** Adds the demo accounts, which share one password. */
    void addForDemo(Map<String, Role> roles, String password) {
        String hash = encoder.encode(password);
        roles.forEach((name, role) -> accounts.save(new Account(name, hash, role)));
    }

    @Transactional
    void add(String name, String password, Role role) {
        Say.id("an account", name);
        if (name.length() > LONGEST_NAME) {
            throw Refusal.bad("TEXT_LONG", "/name", "An account's name has at most " + LONGEST_NAME + " characters.");
        }
        if (password == null || password.length() < SHORTEST_PASSWORD || password.length() > 200) {
            throw Refusal.bad(
                    "PASSWORD_SHORT", "/password", "The password needs at least " + SHORTEST_PASSWORD + " characters.");
        }
        if (accounts.existsById(name)) {
            throw Refusal.taken("/name", "There is already an account " + name + ".");
        }
        accounts.save(new Account(name, encoder.encode(password), role));
    }

    /** Makes the head coach and gives the club what it chose to begin with, both or neither; nobody else may write. */
    @Transactional
    void makeFirst(String code, String name, String password, String clubName, StarterChoice choice) {
        if (firstCode().isEmpty()) {
            throw Refusal.of(HttpStatus.CONFLICT, "NOT_FIRST", null, "This club already has a head coach.");
        }
        if (!firstCode.equals(code)) {
            throw Refusal.of(HttpStatus.FORBIDDEN, "CODE_WRONG", "/code", "That is not the code on the console.");
        }
        add(name, password, Role.HEAD);
        library.begin(clubName, choice == null ? StarterChoice.WHOLE : choice);
    }
}
