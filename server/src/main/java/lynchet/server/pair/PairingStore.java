package lynchet.server.pair;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.mat.Pairing;
import lynchet.core.pair.Before;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps who worked with whom. */
@Service
class PairingStore extends BodyRecords<Pairing, PairingRow> {

    PairingStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.PAIRINGS, PairingRow.class, PairingRow::new, null);
    }

    /** Those of a class, the first first. */
    @Transactional(readOnly = true)
    List<Pairing> ofClass(String classId) {
        return core(entities()
                        .createQuery(from() + "where r.classId = :class order by r.at, r.id", PairingRow.class)
                        .setParameter("class", classId)
                        .getResultList())
                .stream()
                .sorted(Comparator.comparingInt(Pairing::round))
                .toList();
    }

    /** Those of classes from a day to a day, the latest classes first. */
    @Transactional(readOnly = true)
    List<Before.DatedPairing> between(LocalDate from, LocalDate to, int most) {
        return entities()
                .createQuery(
                        "select r, c.date from PairingRow r, ClassRow c where c.id = r.classId"
                                + " and c.date between :from and :to order by c.date desc, r.id",
                        Object[].class)
                .setParameter("from", from)
                .setParameter("to", to)
                .setMaxResults(most)
                .getResultList()
                .stream()
                .map(row -> new Before.DatedPairing(((PairingRow) row[0]).toCore(), (LocalDate) row[1]))
                .toList();
    }
}
