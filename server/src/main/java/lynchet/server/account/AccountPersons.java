package lynchet.server.account;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import lynchet.server.keep.PersonOf;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Whose account it is, held in memory since every mark asks. */
@Component
class AccountPersons implements PersonOf {

    private final AccountRepository accounts;
    private volatile Map<String, String> persons;

    AccountPersons(AccountRepository accounts) {
        this.accounts = accounts;
    }

    /** To be called once a change of accounts is kept. */
    void changed() {
        persons = null;
    }

    @Override
    @Transactional
    public void forget(String person) {
        for (Account account : accounts.findAll()) {
            if (person.equals(account.person())) {
                account.forgetPerson();
                accounts.save(account);
            }
        }
        changed();
    }

    @Override
    public Optional<String> account(String name) {
        Map<String, String> known = persons;
        if (known == null) {
            known = new HashMap<>();
            for (Account account : accounts.findAll()) {
                known.put(account.name(), account.person());
            }
            persons = known;
        }
        return Optional.ofNullable(known.get(name));
    }
}
