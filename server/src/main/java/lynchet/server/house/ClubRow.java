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

    protected ClubRow() {}

    ClubRow(String name) {
        this.name = name;
    }

    String name() {
        return name;
    }

    void rename(String newName) {
        name = newName;
    }
}
