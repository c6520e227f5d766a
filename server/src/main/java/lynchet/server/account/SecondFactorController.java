package lynchet.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.server.club.ClubSettings;
import lynchet.server.keep.Durable;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether one's own account asks for a code beside the password. Somebody who sits down at an open screen does not know the password. */
@RestController
@OpenTo(Who.ACCOUNTS)
@RequestMapping("/api/session/second")
class SecondFactorController {

    private static final String KEY = "lynchet.second";

    private final SecondFactor second;
    private final Accounts accounts;
    private final Braked braked;
    private final ClubSettings club;
    private final Durable durable;

    SecondFactorController(SecondFactor second, Accounts accounts, Braked braked, ClubSettings club, Durable durable) {
        this.second = second;
        this.accounts = accounts;
        this.braked = braked;
        this.club = club;
        this.durable = durable;
    }

    record OwnPassword(@Most(200) String password) {}

    record CodeSeen(@Most(40) String code) {}

    @GetMapping
    SecondFactor.SecondView now(Authentication who) {
        return second.view(who.getName());
    }

    /** Begins to ask for one: what the app on the phone takes in. */
    @PostMapping
    SecondFactor.Begun begin(
            @RequestBody OwnPassword own,
            Authentication who,
            HttpServletRequest request,
            HttpServletResponse response) {
        isTheirs(own, who, request, response);
        SecondFactor.Begun begun = second.begin(who.getName(), club.name());
        request.getSession().setAttribute(KEY, begun.key());
        return begun;
    }

    /** A code of the app was seen, so it is asked for from now on; answers with recovery codes, this once. */
    @PostMapping("/on")
    List<String> turnOn(
            @RequestBody CodeSeen seen, Authentication who, HttpServletRequest request, HttpServletResponse response) {
        String key = (String) request.getSession().getAttribute(KEY);
        if (key == null) {
            throw Refusal.of(HttpStatus.CONFLICT, "SECOND_BEGIN", null, "Begin again: show the picture first.");
        }
        List<String> codes = braked.look(
                who.getName(),
                Braked.OWN,
                request,
                response,
                () -> durable.write(() -> second.turnOn(who.getName(), key, seen.code())));
        request.getSession().removeAttribute(KEY);
        return codes;
    }

    /** No code is asked for any more. */
    @PostMapping("/off")
    ResponseEntity<Void> turnOff(
            @RequestBody OwnPassword own,
            Authentication who,
            HttpServletRequest request,
            HttpServletResponse response) {
        isTheirs(own, who, request, response);
        durable.write(() -> {
            second.turnOff(who.getName());
            return null;
        });
        return ResponseEntity.noContent().build();
    }

    private void isTheirs(
            OwnPassword own, Authentication who, HttpServletRequest request, HttpServletResponse response) {
        braked.look(who.getName(), Braked.OWN, request, response, () -> {
            accounts.isPasswordOf(who.getName(), own.password());
            return null;
        });
    }
}
