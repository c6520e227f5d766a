package lynchet.server.house;

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
}
