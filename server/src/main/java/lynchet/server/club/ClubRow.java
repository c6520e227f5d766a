package lynchet.server.club;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The club's own settings: one row. */
@Entity
@Table(name = "club")
class ClubRow {

    static final String ID = "club";

    @Id
    private String id = ID;

    private String name;

    private String library;

    private boolean statesBuilt;

    private Integer keepYears;

    private byte[] badge;

    protected ClubRow() {}

    ClubRow(String name) {
        this.name = name;
    }

    String name() {
        return name;
    }

    /** The name of the starter choice it began with; null when it was never asked. */
    String library() {
        return library;
    }

    void beganWith(String choice) {
        library = choice;
    }

    void rename(String newName) {
        name = newName;
    }

    /** How many years of somebody who left are kept; null when the club has not said. */
    Integer keepYears() {
        return keepYears;
    }

    void keepYears(Integer years) {
        keepYears = years;
    }

    /** The badge as PNG; null: there is none. */
    byte[] badge() {
        return badge;
    }

    void badge(byte[] png) {
        badge = png;
    }

    /** Whether the state of every student has been folded since the records came in. */
    boolean statesBuilt() {
        return statesBuilt;
    }

    void statesBuilt(boolean are) {
        statesBuilt = are;
    }
}
