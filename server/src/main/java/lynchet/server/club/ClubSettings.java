package lynchet.server.club;

import jakarta.persistence.EntityManager;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The club's own few words: its name, and what it began with. */
@Service
public class ClubSettings {

    private final EntityManager entities;

    ClubSettings(EntityManager entities) {
        this.entities = entities;
    }

    @Transactional(readOnly = true)
    public String name() {
        return row().map(ClubRow::name).orElse("Our club");
    }

    /** Renames the club in the caller's transaction. */
    @Transactional
    public void rename(String name) {
        made().rename(name);
        entities.flush();
    }

    /** The club's badge as PNG. */
    @Transactional(readOnly = true)
    public Optional<byte[]> badge() {
        return row().map(ClubRow::badge);
    }

    /** @param png null: it has none any more */
    @Transactional
    public void badge(byte @Nullable [] png) {
        made().badge(png);
        entities.flush();
    }

    /** The name of the starter choice it began with. */
    @Transactional(readOnly = true)
    public Optional<String> library() {
        return row().map(ClubRow::library);
    }

    @Transactional
    public void beganWith(String choice) {
        made().beganWith(choice);
        entities.flush();
    }

    /** Whether the states of all students stand; an older club's are folded when it is first started. */
    @Transactional(readOnly = true)
    public boolean statesBuilt() {
        return row().map(ClubRow::statesBuilt).orElse(true);
    }

    @Transactional
    public void statesBuilt(boolean are) {
        made().statesBuilt(are);
        entities.flush();
    }

    /** How many years of somebody who left are kept; empty: the club has not said. */
    @Transactional(readOnly = true)
    public Optional<Integer> keepYears() {
        return row().map(ClubRow::keepYears);
    }

    @Transactional
    public void keepYears(Integer years) {
        made().keepYears(years);
        entities.flush();
    }

    private Optional<ClubRow> row() {
        return Optional.ofNullable(entities.find(ClubRow.class, ClubRow.ID));
    }

    private ClubRow made() {
        return row().orElseGet(() -> {
            ClubRow row = new ClubRow("Our club");
            row.statesBuilt(true);
            entities.persist(row);
            return row;
        });
    }
}
