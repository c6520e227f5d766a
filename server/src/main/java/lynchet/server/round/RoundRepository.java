package lynchet.server.round;

import org.springframework.data.jpa.repository.JpaRepository;

interface RoundRepository extends JpaRepository<RoundRow, String> {}
