package lynchet.server.house;

import org.springframework.data.jpa.repository.JpaRepository;

interface ClubRepository extends JpaRepository<ClubRow, String> {}
