package lynchet.server.erase;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.server.club.Stores;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Where people write what they like: every column of every part that holds more than an id, read off the database itself, so
 * that a part to come is looked through without being named here.
 */
@Component
class FreeTexts {

    /** Ids and codes are no longer than this. */
    private static final int LONGEST_ID = 80;

    /** A name beside the body that holds it. */
    private static final Set<String> COPIES = Set.of("folded_name", "name", "called_by");

    /**
     * One column.
     *
     * @param kind what it is, in words
     * @param id column of what names the row
     * @param only which of its rows; empty: all
     * @param isRecord whether a name can be taken out here; what is taught is changed by hand
     */
    record FreeText(String table, String kind, String column, String id, String only, boolean isRecord) {}

    private final Stores stores;
    private final JdbcTemplate jdbc;

    FreeTexts(Stores stores, JdbcTemplate jdbc) {
        this.stores = stores;
        this.jdbc = jdbc;
    }

    List<FreeText> all() {
        List<FreeText> all = new ArrayList<>();
        for (Part<?> part : Parts.ALL) {
            String table = stores.of(part).table();
            if (!part.isRecord()) {
                all.add(new FreeText(table, part.word(), "body", "id", " and part = '" + part.name() + "'", false));
                continue;
            }
            String kind = part.word();
            jdbc.query(
                    "select c.table_name, c.column_name, (select f.column_name from information_schema.columns f"
                            + " where f.table_schema = c.table_schema and f.table_name = c.table_name and f.ordinal_position = 1)"
                            + " from information_schema.columns c where c.table_schema = current_schema"
                            + " and (lower(c.table_name) = ? or lower(c.table_name) like ?)"
                            + " and c.character_maximum_length > ? order by c.table_name, c.ordinal_position",
                    row -> {
                        String column = row.getString(2).toLowerCase(java.util.Locale.ROOT);
                        if (!COPIES.contains(column)) {
                            all.add(new FreeText(row.getString(1), kind, column, row.getString(3), "", true));
                        }
                    },
                    table.toLowerCase(java.util.Locale.ROOT),
                    table.toLowerCase(java.util.Locale.ROOT).replace("_", "\\_") + "\\_%",
                    LONGEST_ID);
        }
        return all.stream().distinct().toList();
    }
}
