package lynchet.server.house;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface AccountRepository extends JpaRepository<Account, String> {

    Optional<Account> findByLink(String digest);

    List<Account> findAllByOrderByName();

    long countByRoleAndIsOffFalseAndPasswordIsNotNull(Role role);
}
