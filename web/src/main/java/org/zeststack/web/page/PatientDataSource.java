package org.zeststack.web.page;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Connections for which a request waits only so long in all. A page asks the database some dozen times, each time with a connection of
 * its own, and each waits less than the pool's time-out when many ask at once: without a sum of it such a page hangs for a minute.
 */
final class PatientDataSource extends DelegatingDataSource {

    /** What a request waits for connections in all. */
    static final Duration PATIENCE = Duration.ofSeconds(3);

    private static final ThreadLocal<Long> WAITED = new ThreadLocal<>();

    PatientDataSource(DataSource pool) {
        super(pool);
    }

    @Configuration(proxyBeanMethods = false)
    static class Around {
        @Bean
        static BeanPostProcessor waitingIsBounded() {
            return new BeanPostProcessor() {
                @Override
                public Object postProcessAfterInitialization(Object bean, String name) {
                    return bean instanceof DataSource pool && !(bean instanceof PatientDataSource)
                            ? new PatientDataSource(pool)
                            : bean;
                }
            };
        }
    }

    /** A request begins on this thread. */
    static void begin() {
        WAITED.set(0L);
    }

    /** It is through; what works on its own waits as long as the pool does. */
    static void end() {
        WAITED.remove();
    }

    @Override
    public Connection getConnection() throws SQLException {
        Long waited = WAITED.get();
        if (waited == null) {
            return super.getConnection();
        }
        if (waited > PATIENCE.toNanos()) {
            throw new SQLTransientConnectionException("This request has waited for connections long enough.");
        }
        long from = System.nanoTime();
        try {
            return super.getConnection();
        } finally {
            WAITED.set(waited + System.nanoTime() - from);
        }
    }
}
