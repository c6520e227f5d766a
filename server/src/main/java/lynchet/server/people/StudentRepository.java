package lynchet.server.people;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface StudentRepository extends JpaRepository<StudentRow, String> {
    Optional<StudentRow> findByCard(String card);
}
