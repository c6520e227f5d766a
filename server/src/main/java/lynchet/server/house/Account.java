package lynchet.server.house;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** Somebody who signs in. */
@Entity
@Table(name = "account")
class Account {

    @Id
    private String name;

    private String password;

    @Enumerated(EnumType.STRING)
    private Role role;

    protected Account() {}

    Account(String name, String password, Role role) {
        this.name = name;
        this.password = password;
        this.role = role;
    }

    String name() {
        return name;
    }

    String password() {
        return password;
    }

    Role role() {
        return role;
    }
}
