package lynchet.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.function.Supplier;
import lynchet.server.keep.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Whatever can be guessed over HTTP is looked at here, one after the other and no faster than the brake lets it. */
@Component
class Braked {

    /** The device of somebody who is in already: an open screen. */
    static final String OWN = "an open screen";

    private final SignInBrake brake;
    private final SignIns signIns;
    private final Accounts accounts;

    Braked(SignInBrake brake, SignIns signIns, Accounts accounts) {
        this.brake = brake;
        this.signIns = signIns;
        this.accounts = accounts;
    }

    /**
     * Looks at a try in its turn; what was wrong is noted.
     *
     * @param device on which the account came in before; null: it did not
     * @param look refuses what is wrong
     * @throws Refusal 429 where it has to wait
     */
    <T> T look(
            String account,
            @Nullable String device,
            HttpServletRequest request,
            HttpServletResponse response,
            Supplier<T> look) {
        String address = request.getRemoteAddr();
        try {
            return brake.once(new SignInBrake.Tried(account, Addresses.counted(address), device), look);
        } catch (SignInBrake.TooSoon soon) {
            response.setHeader("Retry-After", String.valueOf(soon.seconds));
            throw soon.refusal();
        } catch (Refusal refused) {
            if (SignInBrake.isWrong(refused)) {
                String spelled = accounts.spelled(account).orElse(null);
                signIns.note(spelled, address, request.getHeader("User-Agent"), false);
            }
            throw refused;
        }
    }
}
