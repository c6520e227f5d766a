package lynchet.server.keep;

import jakarta.annotation.PreDestroy;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** H2's own words. It does not sync each commit, and it copies a live file only by its own command. */
@Component
class H2Disk implements Disk {

    private final JdbcTemplate jdbc;
    private final String url;

    H2Disk(JdbcTemplate jdbc, @Value("${spring.datasource.url}") String url) {
        this.jdbc = jdbc;
        this.url = url;
    }

    /** Gives back the room that changes and removals have left empty. */
    @PreDestroy
    void close() {
        if (url.startsWith("jdbc:h2:file:")) {
            jdbc.execute("SHUTDOWN COMPACT");
        }
    }

    @Override
    public void sync() {
        jdbc.execute("CHECKPOINT SYNC");
    }

    @Override
    public void copyTo(Path file) {
        jdbc.update("BACKUP TO ?", file.toAbsolutePath().toString());
    }
}
