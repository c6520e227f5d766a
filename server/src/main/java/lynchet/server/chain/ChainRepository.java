package lynchet.server.chain;

import org.springframework.data.jpa.repository.JpaRepository;

interface ChainRepository extends JpaRepository<ChainRow, String> {}
