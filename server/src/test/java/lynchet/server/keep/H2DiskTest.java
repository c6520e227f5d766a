package lynchet.server.keep;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;

/** What the data file is told. */
class H2DiskTest {

    @TempDir
    Path folder;

    /** The heartbeat syncs every second: shorter than a few of them is not safe, longer fills the disk on a busy evening. */
    @Test
    void whatWasWrittenStaysForFourSyncsAndNoLonger() {
        String url = "jdbc:h2:file:" + folder.resolve("club");
        HikariDataSource file = new HikariDataSource();
        file.setJdbcUrl(url);
        file.setUsername("sa");
        JdbcTemplate jdbc = new JdbcTemplate(file);
        H2Disk disk = new H2Disk(jdbc, file, event -> {}, url);
        try {
            assertThat(jdbc.queryForList(
                            "select setting_value from information_schema.settings where setting_name = 'RETENTION_TIME'",
                            Integer.class))
                    .containsOnly(4000);
        } finally {
            disk.close();
            file.close();
        }
    }
}
