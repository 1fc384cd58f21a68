package app.narrowgate.server.account;

import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.logout.CompositeLogoutHandler;
import org.springframework.security.web.authentication.logout.LogoutHandler;
import org.springframework.security.web.authentication.logout.SecurityContextLogoutHandler;
import org.springframework.security.web.authentication.session.ChangeSessionIdAuthenticationStrategy;
import org.springframework.security.web.authentication.session.CompositeSessionAuthenticationStrategy;
import org.springframework.security.web.authentication.session.SessionAuthenticationStrategy;
import org.springframework.security.web.csrf.CsrfAuthenticationStrategy;
import org.springframework.security.web.csrf.CsrfLogoutHandler;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;

/** The framework's own machinery for signing in and out. */
@Configuration(proxyBeanMethods = false)
class SignInConfig {

    /** Takes as long for a name that nobody has, and renews a hash that was made with older figures. */
    @Bean
    AuthenticationManager authenticationManager(MemberDetailsService members, PasswordEncoder passwords) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(members);
        provider.setPasswordEncoder(passwords);
        provider.setUserDetailsPasswordService(members);
        return new ProviderManager(provider);
    }

    /** A new session id and a new token, so that neither can have been planted before. */
    @Bean
    SessionAuthenticationStrategy sessionBeginning(CsrfTokenRepository tokens) {
        CsrfTokenRequestAttributeHandler atOnce = new CsrfTokenRequestAttributeHandler();
        // With no name for it, the new token is made and sent at once, not when somebody reads it.
        atOnce.setCsrfRequestAttributeName(null);
        CsrfAuthenticationStrategy token = new CsrfAuthenticationStrategy(tokens);
        token.setRequestHandler(atOnce);
        return new CompositeSessionAuthenticationStrategy(List.of(new ChangeSessionIdAuthenticationStrategy(), token));
    }

    @Bean
    LogoutHandler sessionEnding(CsrfTokenRepository tokens) {
        return new CompositeLogoutHandler(new SecurityContextLogoutHandler(), new CsrfLogoutHandler(tokens));
    }
}
