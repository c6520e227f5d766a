package lynchet.server.house;

import static org.springframework.http.HttpMethod.DELETE;
import static org.springframework.http.HttpMethod.GET;
import static org.springframework.http.HttpMethod.HEAD;
import static org.springframework.http.HttpMethod.POST;
import static org.springframework.http.HttpMethod.PUT;

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

/** Who may do what. Nothing but the sign-in page and health answers a stranger. */
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
            HttpSecurity http, SecurityContextRepository sessions, CsrfTokenRepository tokens, ProblemWriter problems)
            throws Exception {
        http.authorizeHttpRequests(may -> may.requestMatchers(
                                "/api/session",
                                "/api/session/first",
                                "/api/session/welcome",
                                "/api/session/link",
                                "/api/session/link/look",
                                "/actuator/health",
                                "/error")
                        .permitAll()
                        .requestMatchers("/actuator/**")
                        .denyAll()
                        .requestMatchers("/api/session/**")
                        .authenticated()
                        .requestMatchers("/api/accounts/**", "/api/copies/**")
                        .hasRole(Role.HEAD.name())
                        .requestMatchers(reading(
                                "/api/classes/*/telling",
                                "/api/classes/*/pairs",
                                "/api/classes/*/calls",
                                "/api/classes/*/tonight",
                                "/api/plans/*/exposure",
                                "/api/letters/**",
                                "/api/asks",
                                "/api/incidents/**",
                                "/api/board/**",
                                "/api/merits",
                                "/api/people/*/brought",
                                "/api/people/falls",
                                "/api/edits/**",
                                "/api/ladders/*/versions/*/people",
                                "/api/belts"))
                        .hasAnyRole(Role.COACH.name(), Role.HEAD.name())
                        .requestMatchers(
                                reading("/api/archive", "/api/people/*/all", "/api/people/*/mentions", "/api/keeping"))
                        .hasRole(Role.HEAD.name())
                        .requestMatchers("/api/archive/**", "/api/imports/**", "/api/csv/**", "/api/library/**")
                        .hasRole(Role.HEAD.name())
                        .requestMatchers(reading("/api/**", "/v3/**"))
                        .authenticated()
                        .requestMatchers(POST, "/api/page-errors")
                        .authenticated()
                        .requestMatchers(
                                POST,
                                "/api/attendance",
                                "/api/practice",
                                "/api/marks",
                                "/api/people",
                                "/api/asks",
                                "/api/incidents",
                                "/api/credits",
                                "/api/tallies",
                                "/api/starts",
                                "/api/nominations",
                                "/api/merits",
                                "/api/people/weights",
                                "/api/people/brought",
                                "/api/people/*/guest",
                                "/api/people/*/limits/**",
                                "/api/patterns",
                                "/api/classes/sums",
                                "/api/plans/**",
                                "/api/plans",
                                "/api/cycles/**",
                                "/api/cycles",
                                "/api/classes/*/news",
                                "/api/map/undo/*",
                                "/api/chains",
                                "/api/chains/check")
                        .hasAnyRole(Role.COACH.name(), Role.HEAD.name())
                        .requestMatchers(
                                DELETE,
                                "/api/attendance/*",
                                "/api/practice/*",
                                "/api/credits/*",
                                "/api/tallies/*",
                                "/api/starts/*",
                                "/api/plans/**",
                                "/api/cycles/*",
                                "/api/nominations/*",
                                "/api/merits/*")
                        .hasAnyRole(Role.COACH.name(), Role.HEAD.name())
                        .requestMatchers(
                                PUT,
                                "/api/chains/*",
                                "/api/classes/*",
                                "/api/plans/*",
                                "/api/cycles/*",
                                "/api/asks/*",
                                "/api/incidents/*",
                                "/api/pairings/*")
                        .hasAnyRole(Role.COACH.name(), Role.HEAD.name())
                        .requestMatchers("/api/**")
                        .hasRole(Role.HEAD.name())
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
