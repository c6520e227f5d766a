package lynchet.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.HexFormat;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.safety.Cautions;
import lynchet.server.club.ClubSettings;
import lynchet.server.keep.Durable;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Sha256;
import lynchet.server.keep.Who;
import lynchet.starter.StarterChoice;
import lynchet.starter.demo.DemoClub;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.session.SessionAuthenticationStrategy;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfAuthenticationStrategy;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {

    private final Accounts accounts;
    private final ClubSettings club;
    private final Braked braked;
    private final SecondFactor second;
    private final Devices devices;
    private final SignIns signIns;
    private final OpenSessions open;
    private final Durable durable;
    private final SecurityContextRepository sessions;
    private final SessionAuthenticationStrategy renewToken;
    private final boolean demo;

    SessionController(
            Accounts accounts,
            ClubSettings club,
            Braked braked,
            SecondFactor second,
            Devices devices,
            SignIns signIns,
            OpenSessions open,
            Durable durable,
            SecurityContextRepository sessions,
            CsrfTokenRepository tokens,
            @Value("${lynchet.demo}") boolean demo) {
        this.accounts = accounts;
        this.club = club;
        this.braked = braked;
        this.second = second;
        this.devices = devices;
        this.signIns = signIns;
        this.open = open;
        this.durable = durable;
        this.sessions = sessions;
        this.renewToken = new CsrfAuthenticationStrategy(tokens);
        this.demo = demo;
    }

    /** @param code of the second factor, where the account asks for one; null: none */
    record SignIn(
            String name,
            @Most(200) String password,
            @Most(40) @Nullable String code) {}

    /** @param library what the club begins with; null: the whole library */
    record First(
            String code,
            String name,
            @Most(200) String password,
            String club,
            @Nullable StarterChoice library) {}

    record Session(String name, Role role, String club) {}

    /**
     * Who is signed in, or null; and what the sign-in page needs to know.
     *
     * @param badge changes when the badge does; null: the club has none
     */
    record Welcome(
            @Nullable Session session,
            String club,
            @Nullable String badge,
            boolean first,
            List<String> demoAccounts,
            @Nullable String demoPassword,
            String responsibility) {}

    @OpenTo(Who.STRANGERS)
    @GetMapping
    Session who(Authentication authentication) {
        if (authentication == null) {
            throw Refusal.of(HttpStatus.UNAUTHORIZED, "SIGN_IN", null, "Nobody is signed in.");
        }
        return session(authentication);
    }

    /** What the page asks first, of strangers too; it also hands out the CSRF cookie. */
    @OpenTo(Who.STRANGERS)
    @GetMapping("/welcome")
    Welcome welcome(Authentication authentication, HttpServletRequest request) {
        handOutToken(request);
        return new Welcome(
                authentication == null ? null : session(authentication),
                club.name(),
                club.badge()
                        .map(png -> HexFormat.of().formatHex(Sha256.of(png)).substring(0, 12))
                        .orElse(null),
                accounts.firstCode().isPresent(),
                demo ? List.of("head", "coach", "viewer") : List.of(),
                demo ? DemoClub.PASSWORD : null,
                Cautions.RESPONSIBILITY);
    }

    @OpenTo(Who.STRANGERS)
    @PostMapping
    Session signIn(@RequestBody SignIn tried, HttpServletRequest request, HttpServletResponse response) {
        String name = tried.name() == null ? "" : tried.name().strip();
        String device = devices.known(request, name);
        Accounts.Entering entering = braked.look(name, device, request, response, () -> {
            Accounts.Entering fits = accounts.signIn(name, tried.password() == null ? "" : tried.password())
                    .orElseThrow(() -> Refusal.of(
                            HttpStatus.UNAUTHORIZED,
                            "WRONG_PASSWORD",
                            "/password",
                            "That name and password do not fit together."));
            second.check(fits.name(), tried.code());
            return fits;
        });
        return enter(entering.name(), entering.role(), request, response);
    }

    @OpenTo(Who.STRANGERS)
    @PostMapping("/first")
    Session first(@RequestBody First first, HttpServletRequest request, HttpServletResponse response) {
        String name = braked.look(
                "the first head coach",
                null,
                request,
                response,
                () -> durable.writeAlone(() -> accounts.makeFirst(
                        first.code(), first.name(), first.password(), first.club(), first.library())));
        return enter(name, Role.HEAD, request, response);
    }

    @OpenTo(Who.STRANGERS)
    @DeleteMapping
    ResponseEntity<Void> signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
        return ResponseEntity.noContent().build();
    }

    /** @param link the last part of the address that the head coach gave */
    record Opened(String link) {}

    record Chosen(String link, @Most(200) String password) {}

    record Changed(@Most(200) String old, @Most(200) String password) {}

    /** Whose account a one-time link opens, while it works. */
    @OpenTo(Who.STRANGERS)
    @PostMapping("/link/look")
    Accounts.AccountView look(@RequestBody Opened opened) {
        return accounts.opened(opened.link());
    }

    /** Chooses a password by a one-time link, and signs in. */
    @OpenTo(Who.STRANGERS)
    @PostMapping("/link")
    Session choose(@RequestBody Chosen chosen, HttpServletRequest request, HttpServletResponse response) {
        Accounts.AccountView account = durable.write(() -> accounts.enter(chosen.link(), chosen.password()));
        devices.forget(account.name());
        return enter(account.name(), account.role(), request, response);
    }

    /** Changes one's own password; one's other sessions end. */
    @OpenTo(Who.ACCOUNTS)
    @PostMapping("/password")
    ResponseEntity<Void> password(
            @RequestBody Changed changed,
            Authentication who,
            HttpServletRequest request,
            HttpServletResponse response) {
        braked.look(
                who.getName(),
                Braked.OWN,
                request,
                response,
                () -> durable.write(() -> {
                    accounts.changePassword(who.getName(), changed.old(), changed.password());
                    return null;
                }));
        devices.forget(who.getName());
        devices.remember(request, response, who.getName());
        open.endOthers(who.getName(), request.getSession());
        return ResponseEntity.noContent().build();
    }

    /** Where one is signed in, the latest first. */
    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/mine")
    List<OpenSessions.SessionView> mine(Authentication who, HttpServletRequest request) {
        return open.of(who.getName(), request.getSession());
    }

    /** Ends one of one's own sessions. */
    @OpenTo(Who.ACCOUNTS)
    @DeleteMapping("/mine/{id}")
    ResponseEntity<Void> end(@PathVariable String id, Authentication who) {
        if (!open.end(who.getName(), id)) {
            throw Refusal.missing("session", id);
        }
        return ResponseEntity.noContent().build();
    }

    /** Begins a session with a new id and a new CSRF token. */
    private Session enter(String name, Role role, HttpServletRequest request, HttpServletResponse response) {
        Authentication authentication = UsernamePasswordAuthenticationToken.authenticated(
                name, null, List.of(new SimpleGrantedAuthority("ROLE_" + role)));
        request.getSession(true);
        request.changeSessionId();
        open.begun(request.getSession(), name, request.getHeader("User-Agent"));
        devices.remember(request, response, name);
        signIns.note(name, request.getRemoteAddr(), request.getHeader("User-Agent"), true);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(authentication);
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, request, response);
        renewToken.onAuthentication(authentication, request, response);
        handOutToken(request);
        return session(authentication);
    }

    /** The token is made, and its cookie set, when it is first asked for. */
    private static void handOutToken(HttpServletRequest request) {
        if (request.getAttribute(CsrfToken.class.getName()) instanceof CsrfToken token) {
            token.getToken();
        }
    }

    private Session session(Authentication authentication) {
        String role =
                authentication.getAuthorities().iterator().next().getAuthority().substring("ROLE_".length());
        return new Session(authentication.getName(), Role.valueOf(role), club.name());
    }
}
