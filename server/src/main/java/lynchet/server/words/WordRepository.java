package lynchet.server.words;

import org.springframework.data.jpa.repository.JpaRepository;

interface WordRepository extends JpaRepository<WordRow, String> {}
