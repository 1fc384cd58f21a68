package app.narrowgate.server.config;

import app.narrowgate.server.problem.ProblemWriter;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Everything is closed but signing in, health and the files of the client, which hold no data. Changes need the CSRF
 * token that the client reads from a cookie.
 */
@Configuration(proxyBeanMethods = false)
class SecurityConfig {

    private static final String CONTENT_POLICY = "default-src 'self'; img-src 'self' data:; object-src 'none'; "
            + "style-src 'self' 'unsafe-inline'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /** What somebody without a session shows a code or the token of a link to. */
    private static final String[] COMING_IN = {"/api/gyms", "/api/invitations/look", "/api/invitations/join",
        "/api/invitations/password", "/api/links/look", "/api/screens/look",
        "/api/screens/events", "/api/screens/presses"};

    /** Of what a browser could lend it, the client uses nothing. */
    private static final String PERMISSIONS = "accelerometer=(), camera=(), display-capture=(), geolocation=(), "
            + "gyroscope=(), microphone=(), midi=(), payment=(), serial=(), usb=()";

    @Bean
    SecurityFilterChain security(HttpSecurity http, ProblemWriter problems, SecurityContextRepository contexts,
            CsrfTokenRepository tokens) throws Exception {
        return http
                .authorizeHttpRequests(requests -> requests
                        .requestMatchers("/api/session", "/actuator/health", "/actuator/health/*").permitAll()
                        .requestMatchers(HttpMethod.POST, COMING_IN).permitAll()
                        .requestMatchers("/api/**", "/actuator/**").authenticated()
                        .requestMatchers(HttpMethod.GET, "/**").permitAll()
                        .anyRequest().authenticated())
                .csrf(csrf -> csrf.spa().csrfTokenRepository(tokens))
                .securityContext(context -> context.securityContextRepository(contexts))
                .headers(headers -> headers
                        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.NO_REFERRER))
                        .permissionsPolicyHeader(permissions -> permissions.policy(PERMISSIONS))
                        .crossOriginOpenerPolicy(opener -> opener.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                        .crossOriginResourcePolicy(resource -> resource.policy(CrossOriginResourcePolicy.SAME_ORIGIN)))
                .exceptionHandling(handling -> handling
                        .authenticationEntryPoint((request, response, e) -> problems.write(response,
                                HttpStatus.UNAUTHORIZED, "Not signed in",
                                "You are not signed in, or the session has ended. Sign in again; what you typed is kept."))
                        .accessDeniedHandler((request, response, e) -> problems.write(response, HttpStatus.FORBIDDEN,
                                "Not allowed",
                                "The request carried no valid token. Reload the page and try again.")))
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .build();
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    CsrfTokenRepository csrfTokenRepository() {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return tokens;
    }

    /**
     * Argon2id with 19 MiB, two passes, one lane: the figures of the OWASP Password Storage Cheat Sheet (from memory, as
     * of 2023).
     */
    @Bean
    PasswordEncoder passwordEncoder() {
        return new Argon2PasswordEncoder(16, 32, 1, 19 * 1024, 2);
    }
}
