package org.zeststack.store.live;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.TimeUnit;
import java.util.function.LongConsumer;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Listens to PostgreSQL on a connection of its own, outside the pool, and comes back by itself after a break. After every
 * (re)connect it says {@link #EVERY_RUN}, since notices may have been missed.
 */
public final class LiveFeed implements AutoCloseable {

    /** Told in place of a run's id: any run may have changed. */
    public static final long EVERY_RUN = -1;

    private static final Logger LOG = LoggerFactory.getLogger(LiveFeed.class);
    private static final int WAIT_MILLIS = 1000;

    private final String url;
    private final String user;
    private final String password;
    private final LongConsumer changed;
    private final Thread thread;
    private volatile boolean open = true;

    /**
     * Starts listening.
     *
     * @param changed told the run's id, on the feed's own thread
     */
    public LiveFeed(String url, String user, String password, LongConsumer changed) {
        this.url = url;
        this.user = user;
        this.password = password;
        this.changed = changed;
        thread = new Thread(this::listen, "live-feed");
        thread.setDaemon(true);
        thread.start();
    }

    private void listen() {
        while (open) {
            try (Connection connection = DriverManager.getConnection(url, user, password);
                    Statement statement = connection.createStatement()) {
                statement.execute("listen " + Channel.NAME);
                changed.accept(EVERY_RUN);
                receive(connection.unwrap(PGConnection.class));
            } catch (SQLException e) {
                pauseAfter(e);
            }
        }
    }

    private void receive(PGConnection connection) throws SQLException {
        while (open) {
            PGNotification[] notices = connection.getNotifications(WAIT_MILLIS);
            if (notices != null) {
                java.util.Arrays.stream(notices)
                        .mapToLong(n -> Channel.run(n.getParameter()))
                        .distinct()
                        .forEach(changed);
            }
        }
    }

    private void pauseAfter(SQLException e) {
        if (!open) {
            return;
        }
        LOG.warn("Live pages wait for the database: {}", e.getMessage());
        try {
            TimeUnit.MILLISECONDS.sleep(WAIT_MILLIS);
        } catch (InterruptedException interrupted) {
            open = false;
        }
    }

    @Override
    public void close() {
        open = false;
        thread.interrupt();
    }
}
