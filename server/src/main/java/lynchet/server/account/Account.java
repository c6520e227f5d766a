package lynchet.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** Somebody who signs in. Until its one-time link is used an account has no password, and nobody can sign in with it. */
@Entity
@Table(name = "account")
class Account {

    @Id
    private String name;

    private String password;

    @Enumerated(EnumType.STRING)
    private Role role;

    private String person;

    @Column(name = "is_off")
    private boolean isOff;

    private String link;

    private Instant linkUntil;

    private String secondKey;

    private long secondStep;

    private String recovery;

    protected Account() {}

    /** @param password its digest; null: none yet */
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

    /** Whose account it is, is not said any more. */
    void forgetPerson() {
        person = null;
    }

    /** Id of the person whose account it is; null: not said. */
    String person() {
        return person;
    }

    boolean isOff() {
        return isOff;
    }

    /** Until when its one-time link holds; null: there is none. */
    Instant linkUntil() {
        return linkUntil;
    }

    void become(Role newRole, String newPerson, boolean off) {
        role = newRole;
        person = newPerson;
        isOff = off;
    }

    /** @param digest of the link; it replaces one that was given before */
    void give(String digest, Instant until) {
        link = digest;
        linkUntil = until;
    }

    /** Sets the password; a link that was open is used up. */
    void secure(String digest) {
        password = digest;
        give(null, null);
    }

    /** Key of the second factor, in Base32; null: none is asked for. */
    String secondKey() {
        return secondKey;
    }

    /** Half minutes since 1970 of the last code that was taken. */
    long secondStep() {
        return secondStep;
    }

    /** Digests of recovery codes left, parted by blanks; null: there are none. */
    String recovery() {
        return recovery;
    }

    void askSecond(String key, long step, String codes) {
        secondKey = key;
        secondStep = step;
        recovery = codes;
    }

    void askNoSecond() {
        askSecond(null, 0, null);
    }
}
