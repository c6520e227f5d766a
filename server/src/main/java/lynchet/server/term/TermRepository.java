package lynchet.server.term;

import org.springframework.data.jpa.repository.JpaRepository;

interface TermRepository extends JpaRepository<TermRow, String> {}
