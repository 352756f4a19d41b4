package org.zeststack.web.page;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.SQLTransientConnectionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.jdbc.datasource.AbstractDataSource;
import org.testng.annotations.Test;

/** A page that asks thirty times does not wait thirty times as long as the pool lets anybody wait. */
public class PatientDataSourceTest {

    private final AtomicInteger asked = new AtomicInteger();

    /** A pool that makes everybody wait nearly as long as it lets anybody wait. */
    private final PatientDataSource patient = new PatientDataSource(new AbstractDataSource() {
        @Override
        public Connection getConnection() {
            asked.incrementAndGet();
            try {
                TimeUnit.MILLISECONDS.sleep(PatientDataSource.PATIENCE.toMillis() / 4);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            return (Connection) Proxy.newProxyInstance(
                    Connection.class.getClassLoader(), new Class<?>[] {Connection.class}, (p, m, a) -> null);
        }

        @Override
        public Connection getConnection(String user, String password) {
            return getConnection();
        }
    });

    @Test
    public void aRequestWaitsOnlySoLongInAll() throws Exception {
        PatientDataSource.begin();
        try {
            expectThrows(SQLTransientConnectionException.class, () -> {
                for (int i = 0; i < 30; i++) {
                    patient.getConnection();
                }
            });
            assertTrue(asked.get() <= 5, asked + " waits");
        } finally {
            PatientDataSource.end();
        }
        asked.set(0);
        for (int i = 0; i < 6; i++) {
            patient.getConnection();
        }
        assertEquals(asked.get(), 6, "what is no request waits as the pool does");
    }
}
