package lynchet.server.house;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AccountRepository extends JpaRepository<Account, String> {

    /** The account of this name, however it is typed in capitals. */
    @Query("select account from Account account where lower(account.name) = lower(:name)")
    Optional<Account> named(String name);

    Optional<Account> findByLink(String digest);

    List<Account> findAllByOrderByName();

    long countByRoleAndIsOffFalseAndPasswordIsNotNull(Role role);
}
