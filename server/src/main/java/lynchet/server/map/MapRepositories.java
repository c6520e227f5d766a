package lynchet.server.map;

import org.springframework.data.jpa.repository.JpaRepository;

interface PairRepository extends JpaRepository<PairRow, String> {}

interface TechniqueRepository extends JpaRepository<TechniqueRow, String> {}

interface ReactionRepository extends JpaRepository<ReactionRow, String> {}

interface LinkRepository extends JpaRepository<LinkRow, String> {}

interface RulesetRepository extends JpaRepository<RulesetRow, String> {}

interface IgnoredGapRepository extends JpaRepository<IgnoredGapRow, String> {}
