package lynchet.server.grading;

import org.springframework.data.jpa.repository.JpaRepository;

interface GradingRepository extends JpaRepository<GradingRow, String> {}
