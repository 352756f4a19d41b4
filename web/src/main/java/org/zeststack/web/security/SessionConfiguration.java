package org.zeststack.web.security;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** Signed-in people's sessions live in the database, so that they survive a restart and any instance knows them. */
@Configuration(proxyBeanMethods = false)
class SessionConfiguration {

    /**
     * Spring Session would write the time of last access at every request; a drag is sixty requests a second, and they would
     * all wait for the same row. Once a minute is enough for a session of twelve hours; any other change is written at once.
     */
    private static final String WRITE_WHEN_CHANGED = """
            update %TABLE_NAME% as s
            set session_id = n.session_id, last_access_time = n.last_access_time,
              max_inactive_interval = n.max_inactive_interval, expiry_time = n.expiry_time, principal_name = n.principal_name
            from (values (?::char(36), ?::bigint, ?::int, ?::bigint, ?::varchar, ?::char(36)))
              as n (session_id, last_access_time, max_inactive_interval, expiry_time, principal_name, primary_id)
            where s.primary_id = n.primary_id
              and (n.last_access_time - s.last_access_time > 60000
                or (s.session_id, s.max_inactive_interval, s.principal_name)
                  is distinct from (n.session_id, n.max_inactive_interval, n.principal_name))
            """;

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> lastAccessOnceAMinute() {
        return sessions -> sessions.setUpdateSessionQuery(WRITE_WHEN_CHANGED);
    }
}
