package lynchet.server.account;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface AccountRepository extends JpaRepository<Account, String> {

    /** The account of this name, however it is typed in capitals. */
    @Query("select account from Account account where lower(account.name) = lower(:name)")
    Optional<Account> named(String name);

    /** The same, held until the end of the transaction, so that of two who send one code the second finds it used. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select account from Account account where lower(account.name) = lower(:name)")
    Optional<Account> held(String name);

    Optional<Account> findByLink(String digest);

    /** The same, held until the end of the transaction: of several who open one link the others wait, and find it used. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select account from Account account where account.link = :digest")
    Optional<Account> holdByLink(String digest);

    List<Account> findAllByOrderByName();

    long countByRoleAndIsOffFalseAndPasswordIsNotNull(Role role);
}
