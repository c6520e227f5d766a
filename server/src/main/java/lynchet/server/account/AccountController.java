package lynchet.server.account;

import java.util.List;
import lynchet.server.account.Accounts.AccountView;
import lynchet.server.account.Accounts.Given;
import lynchet.server.keep.Durable;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The accounts of the house, for the head coach. */
@RestController
@OpenTo(Who.HEADS)
@RequestMapping("/api/accounts")
class AccountController {

    private final Accounts accounts;
    private final AccountPersons persons;
    private final People people;
    private final SignIns signIns;
    private final Durable durable;

    AccountController(Accounts accounts, AccountPersons persons, People people, SignIns signIns, Durable durable) {
        this.signIns = signIns;
        this.accounts = accounts;
        this.persons = persons;
        this.people = people;
        this.durable = durable;
    }

    /** @param person id of the person whose account it is; null: not said */
    record NewAccount(String name, Role role, @Nullable String person) {}

    record AccountChange(Role role, @Nullable String person, boolean isOff) {}

    @GetMapping
    List<AccountView> all() {
        return accounts.all();
    }

    /** Makes an account; its owner chooses the password by the link in the answer. */
    @PostMapping
    Given add(@RequestBody NewAccount account) {
        known(account.person());
        Given given = durable.write(() -> accounts.add(account.name(), account.role(), account.person()));
        persons.changed();
        return given;
    }

    @PutMapping("/{name}")
    AccountView change(@PathVariable String name, @RequestBody AccountChange change) {
        known(change.person());
        AccountView changed =
                durable.writeAlone(() -> accounts.change(name, change.role(), change.person(), change.isOff()));
        persons.changed();
        return changed;
    }

    /** Who came in and who tried to, the latest first. */
    @GetMapping("/sign-ins")
    List<SignIns.SignInLine> signIns() {
        return signIns.latest();
    }

    /** A new one-time link; the one that was given before no longer works. */
    @PostMapping("/{name}/link")
    Given link(@PathVariable String name) {
        return durable.write(() -> accounts.link(name));
    }

    private void known(String person) {
        if (person != null) {
            try {
                people.one(person);
            } catch (Refusal missing) {
                throw Refusal.bad("PERSON", "/person", "There is nobody like that.");
            }
        }
    }
}
