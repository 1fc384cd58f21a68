package app.narrowgate.server.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/**
 * How sessions are kept. That one was used is written once in a while and not at every request: a request that only reads would otherwise wait
 * until the disk, and a standby, have it.
 */
@Configuration(proxyBeanMethods = false)
class SessionTable {

    /** Milliseconds; far below what a session lasts without being used. */
    private static final int USED_LATELY = 60_000;

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> sparing() {
        return sessions -> sessions.setUpdateSessionQuery("""
                update spring_session kept
                set session_id = now.id, last_access_time = now.used, max_inactive_interval = now.inactive, expiry_time = now.expiry, principal_name = now.name
                from (select cast(? as character(36)) as id, cast(? as bigint) as used, cast(? as integer) as inactive, cast(? as bigint) as expiry,
                    cast(? as text) as name, cast(? as character(36)) as key) now
                where kept.primary_id = now.key and (kept.session_id <> now.id or kept.last_access_time < now.used - %d
                    or kept.max_inactive_interval <> now.inactive or kept.principal_name is distinct from now.name)
                """.formatted(USED_LATELY));
    }
}
