package lynchet.server.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import lynchet.core.safety.Cautions;
import lynchet.server.keep.Refusal;
import lynchet.starter.demo.DemoClub;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.session.SessionAuthenticationStrategy;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfAuthenticationStrategy;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {

    private final Accounts accounts;
    private final ClubStore club;
    private final SignInBrake brake;
    private final SecurityContextRepository sessions;
    private final SessionAuthenticationStrategy renewToken =
            new CsrfAuthenticationStrategy(CookieCsrfTokenRepository.withHttpOnlyFalse());
    private final boolean demo;

    SessionController(
            Accounts accounts,
            ClubStore club,
            SignInBrake brake,
            SecurityContextRepository sessions,
            @Value("${lynchet.demo}") boolean demo) {
        this.accounts = accounts;
        this.club = club;
        this.brake = brake;
        this.sessions = sessions;
        this.demo = demo;
    }

    record SignIn(String name, String password) {}

    record First(String code, String name, String password, String club) {}

    record Session(String name, Role role, String club) {}

    /** What the sign-in page needs to know. */
    record Welcome(String club, boolean first, List<String> demoAccounts, String demoPassword, String responsibility) {}

    @GetMapping
    ResponseEntity<Object> who(Authentication authentication, CsrfToken token) {
        token.getToken();
        if (authentication == null) {
            ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.UNAUTHORIZED, "Nobody is signed in.");
            problem.setProperty("code", "SIGN_IN");
            problem.setProperty(
                    "welcome",
                    new Welcome(
                            club.name(),
                            accounts.firstCode().isPresent(),
                            demo ? List.of("head", "coach", "viewer") : List.of(),
                            demo ? DemoClub.PASSWORD : null,
                            Cautions.RESPONSIBILITY));
            return ResponseEntity.status(HttpStatus.UNAUTHORIZED)
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(problem);
        }
        return ResponseEntity.ok(session(authentication));
    }

    @PostMapping
    Session signIn(@RequestBody SignIn tried, HttpServletRequest request, HttpServletResponse response) {
        String name = tried.name() == null ? "" : tried.name().strip();
        String byAccount = "account " + name;
        String byAddress = "address " + request.getRemoteAddr();
        long wait = Math.max(brake.secondsToWait(byAccount), brake.secondsToWait(byAddress));
        if (wait > 0) {
            response.setHeader("Retry-After", String.valueOf(wait));
            throw Refusal.of(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "SLOW_DOWN",
                    "/password",
                    "Too many wrong tries. Wait " + wait + " seconds and try again.");
        }
        Role role = accounts.signIn(name, tried.password() == null ? "" : tried.password())
                .orElseThrow(() -> {
                    brake.wrong(byAccount);
                    brake.wrong(byAddress);
                    return Refusal.of(
                            HttpStatus.UNAUTHORIZED,
                            "WRONG_PASSWORD",
                            "/password",
                            "That name and password do not fit together.");
                });
        brake.right(byAccount);
        brake.right(byAddress);
        return enter(name, role, request, response);
    }

    @PostMapping("/first")
    Session first(@RequestBody First first, HttpServletRequest request, HttpServletResponse response) {
        accounts.makeFirst(first.code(), first.name(), first.password(), first.club());
        return enter(first.name(), Role.HEAD, request, response);
    }

    @DeleteMapping
    ResponseEntity<Void> signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
        return ResponseEntity.noContent().build();
    }

    /** Begins a session with a new id and a new CSRF token. */
    private Session enter(String name, Role role, HttpServletRequest request, HttpServletResponse response) {
        Authentication authentication = UsernamePasswordAuthenticationToken.authenticated(
                name, null, List.of(new SimpleGrantedAuthority("ROLE_" + role)));
        request.getSession(true);
        request.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(authentication);
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, request, response);
        renewToken.onAuthentication(authentication, request, response);
        return session(authentication);
    }

    private Session session(Authentication authentication) {
        String role =
                authentication.getAuthorities().iterator().next().getAuthority().substring("ROLE_".length());
        return new Session(authentication.getName(), Role.valueOf(role), club.name());
    }
}
