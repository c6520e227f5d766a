package lynchet.server.door;

import static org.springframework.http.HttpMethod.GET;
import static org.springframework.http.HttpMethod.HEAD;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.stream.Stream;
import lynchet.server.keep.ProblemWriter;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;

/**
 * Who may do what: each handler says it itself, see {@link lynchet.server.keep.OpenTo}. Nothing but the sign-in page and health
 * answers a stranger.
 */
@Configuration
class Guard {

    private static final String CONTENT_POLICY =
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; "
                    + "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    SecurityContextRepository sessions() {
        return new HttpSessionSecurityContextRepository();
    }

    /** The page reads the token and sends it back; no other page is given it. */
    @Bean
    CsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return tokens;
    }

    /** Reading, with an answer or with its headers alone. */
    private static RequestMatcher[] reading(String... paths) {
        PathPatternRequestMatcher.Builder matching = PathPatternRequestMatcher.withDefaults();
        return Stream.of(GET, HEAD)
                .flatMap(method -> Stream.of(paths).map(path -> matching.matcher(method, path)))
                .toArray(RequestMatcher[]::new);
    }

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http,
            SecurityContextRepository sessions,
            CsrfTokenRepository tokens,
            ProblemWriter problems,
            Handlers handlers)
            throws Exception {
        http.authorizeHttpRequests(may -> may.requestMatchers("/actuator/health", "/error")
                        .permitAll()
                        .requestMatchers("/actuator/**")
                        .denyAll()
                        .requestMatchers("/api/**")
                        .access(handlers)
                        .requestMatchers(reading("/v3/**"))
                        .authenticated()
                        .requestMatchers(reading("/**"))
                        .permitAll()
                        .anyRequest()
                        .denyAll())
                .csrf(csrf -> csrf.spa().csrfTokenRepository(tokens))
                .securityContext(context -> context.securityContextRepository(sessions))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .httpBasic(basic -> basic.disable())
                .formLogin(form -> form.disable())
                .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_POLICY))
                        .frameOptions(frame -> frame.deny())
                        .referrerPolicy(referrer -> {}))
                .exceptionHandling(handling -> handling.authenticationEntryPoint(
                                (request, response, e) -> stranger(problems, response, e))
                        .accessDeniedHandler((request, response, e) -> denied(problems, request, response, e)));
        return http.build();
    }

    private static void stranger(ProblemWriter problems, HttpServletResponse response, AuthenticationException e)
            throws IOException {
        problems.write(response, HttpStatus.UNAUTHORIZED, "SIGN_IN", "Sign in first.");
    }

    private static void denied(
            ProblemWriter problems, HttpServletRequest request, HttpServletResponse response, AccessDeniedException e)
            throws IOException {
        var who = SecurityContextHolder.getContext().getAuthentication();
        boolean isStranger = who == null || who instanceof AnonymousAuthenticationToken;
        if (isStranger && !request.getRequestURI().startsWith("/api/session")) {
            stranger(problems, response, null);
        } else {
            boolean token = e instanceof org.springframework.security.web.csrf.CsrfException;
            problems.write(
                    response,
                    HttpStatus.FORBIDDEN,
                    token ? "CSRF" : "NOT_ALLOWED",
                    token ? "The request lacks its X-XSRF-TOKEN header." : "Your account may not do this.");
        }
    }
}
