package lynchet.server.keep;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Parts;
import lynchet.core.mat.Attendance;
import lynchet.server.RunningClub;
import lynchet.server.club.Stores;
import org.hibernate.Session;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** What was read is not kept in hand: reading a club of 1,500 in one transaction would otherwise hold all of it, and search it. */
@Execution(ExecutionMode.CONCURRENT)
class PartStoreTest {

    @Test
    void nothingThatWasReadIsHeld() {
        try (ConfigurableApplicationContext club = RunningClub.another()) {
            List<String> ids = club.getBean(JdbcTemplate.class)
                    .queryForList("select id from attendance order by id limit 700", String.class);
            EntityManager entities = club.getBean(EntityManager.class);
            PartStore<Attendance> store = club.getBean(Stores.class).of(Parts.ATTENDANCE);
            club.getBean(TransactionTemplate.class).executeWithoutResult(status -> {
                Map<String, Attendance> found = store.find(ids);
                assertThat(found).hasSize(700).allSatisfy((id, one) -> assertThat(one.id())
                        .isEqualTo(id));
                assertThat(store.isEmpty()).isFalse();
                store.each(one -> assertThat(
                                entities.unwrap(Session.class).getStatistics().getEntityCount())
                        .isZero());
            });
        }
    }
}
