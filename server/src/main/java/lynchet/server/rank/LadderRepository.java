package lynchet.server.rank;

import org.springframework.data.jpa.repository.JpaRepository;

interface LadderRepository extends JpaRepository<LadderRow, String> {}
