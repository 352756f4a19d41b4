package org.zeststack.postgres;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/**
 * One running PostgreSQL server on loopback that nobody else uses. It ends with {@link #close}, and also when this
 * process ends in any way: a small shell holds a pipe from us; when the pipe closes it stops the server and deletes
 * throw-away data.
 */
public final class PrivatePostgres implements AutoCloseable {

    /** The one role and the one database of served data. */
    public static final String NAME = "zest";

    private static final String HOLD =
            "\"$@\" & server=$!; cat >/dev/null; kill -INT $server 2>/dev/null; wait $server;"
                    + " [ -z \"$0\" ] || rm -rf -- \"$0\"";
    private static final int READY_SECONDS = 30;
    private static final int GONE_SECONDS = 15;
    private static final int WATCH_MILLIS = 1000;
    private static final int STARTS_AGAIN = 3;

    private final Programs programs;
    private final Path home;
    private final boolean durable;
    private final String password;
    private final int port;
    private volatile Process holder;
    private volatile boolean closing;

    private PrivatePostgres(Programs programs, Path home, boolean durable) {
        this.programs = programs;
        this.home = home;
        this.durable = durable;
        boolean fresh = !Files.exists(data().resolve("PG_VERSION"));
        this.password = durable ? password(home, programs) : "";
        if (fresh) {
            initialise();
        } else {
            waitForAnEarlierServer();
        }
        this.port = freePort();
        launch();
        awaitReady();
        if (fresh) {
            execute("postgres", "create database " + NAME);
        }
        if (durable) {
            Thread watch = new Thread(this::watch, "zest-postgres-watch");
            watch.setDaemon(true);
            watch.start();
        }
    }

    /** A server that ended without being asked to is started again on the same data and port. */
    private void watch() {
        while (!closing) {
            pause(WATCH_MILLIS);
            if (!closing && !serverLives()) {
                System.err.println("zest: PostgreSQL has ended; it is started again. What was written down is kept.");
                startAgain();
            }
        }
    }

    private synchronized void startAgain() {
        for (int i = 0; i < STARTS_AGAIN && !closing; i++) {
            end();
            launch();
            try {
                awaitReady();
                return;
            } catch (PostgresTrouble trouble) {
                // What the ended server left behind may still be going down.
                pause(WATCH_MILLIS);
            }
        }
        if (!closing) {
            System.err.println("zest: PostgreSQL cannot be started again. Its log says why: " + log());
            System.exit(1);
        }
    }

    private boolean serverLives() {
        String pid = line(data().resolve("postmaster.pid"), 0).strip();
        return pid.matches("[0-9]{1,9}")
                && ProcessHandle.of(Long.parseLong(pid))
                        .filter(ProcessHandle::isAlive)
                        .isPresent();
    }

    /**
     * Starts a server on data that is kept: fsync on, password asked.
     *
     * @param wanted where the data should lie; where the server's user may not go there, a state directory is used
     * @throws PostgresTrouble if it cannot be started, with what to do
     */
    public static PrivatePostgres durable(Path wanted) {
        Programs programs = Programs.find();
        return new PrivatePostgres(programs, DataHome.prepare(wanted, programs), true);
    }

    /**
     * Works on the server of data that are there, running or started for the moment. Nothing is made where there are none.
     *
     * @throws PostgresTrouble if there are none, or it cannot be started
     */
    public static void existing(Path wanted, Consumer<DumpFile.Database> work) {
        if (!holdsData(wanted)) {
            throw new PostgresTrouble("There are no data in " + wanted + ".");
        }
        attached(wanted, work);
    }

    /** Whether data were ever kept there. */
    public static boolean holdsData(Path wanted) {
        Path home = DataHome.find(wanted, Programs.find());
        return Files.exists(home.resolve("data").resolve("PG_VERSION"));
    }

    /**
     * Works on the server of these data if one runs, or on one started for the moment. A note of a server that a power cut ended is none.
     *
     * @throws PostgresTrouble if it cannot be started
     */
    public static void attached(Path wanted, Consumer<DumpFile.Database> work) {
        Programs programs = Programs.find();
        Path home = DataHome.prepare(wanted, programs);
        Path data = home.resolve("data");
        Path running = data.resolve("postmaster.pid");
        List<String> status = programs.command("pg_ctl", "status", "-D", data.toString());
        if (Files.exists(running) && Programs.run(status, home.resolve("status.log")) == 0) {
            // The fourth line of PostgreSQL's own note is its port.
            String url = "jdbc:postgresql://127.0.0.1:" + line(running, 3) + "/" + NAME;
            work.accept(new DumpFile.Database(url, NAME, password(home, programs)));
            return;
        }
        try (PrivatePostgres postgres = new PrivatePostgres(programs, home, true)) {
            work.accept(new DumpFile.Database(postgres.url(), NAME, postgres.password));
        }
    }

    /** Starts a throw-away server for tests and code generation: no fsync, no password, deleted when it stops. */
    public static PrivatePostgres throwAway() {
        Programs programs = Programs.find();
        return new PrivatePostgres(programs, DataHome.temporary(programs), false);
    }

    private Path data() {
        return home.resolve("data");
    }

    private Path log() {
        return home.resolve("postgres.log");
    }

    private static String password(Path home, Programs programs) {
        Path file = home.resolve("password");
        try {
            if (!Files.exists(file)) {
                byte[] random = new byte[24];
                new SecureRandom().nextBytes(random);
                Files.createFile(
                        file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
                Files.writeString(file, HexFormat.of().formatHex(random));
                DataHome.give(file, programs);
            }
            return Files.readString(file).strip();
        } catch (IOException e) {
            throw new PostgresTrouble("Cannot keep the database password in " + file, e);
        }
    }

    private void initialise() {
        List<String> arguments = new ArrayList<>(
                List.of("-D", data().toString(), "-U", NAME, "-E", "UTF8", "--locale=C.UTF-8", "--no-instructions"));
        if (durable) {
            arguments.addAll(List.of("-A", "scram-sha-256", "--pwfile=" + home.resolve("password")));
        } else {
            arguments.addAll(List.of("-A", "trust", "--no-sync"));
        }
        if (Programs.run(programs.command("initdb", arguments.toArray(String[]::new)), log()) != 0) {
            throw new PostgresTrouble("initdb failed:\n" + tail());
        }
    }

    /** After a killed process its server may still be going down; one that stays belongs to somebody else. */
    private void waitForAnEarlierServer() {
        List<String> status = programs.command("pg_ctl", "status", "-D", data().toString());
        for (int i = 0; i < GONE_SECONDS * 4; i++) {
            if (Programs.run(status, home.resolve("status.log")) != 0) {
                return;
            }
            pause(250);
        }
        throw new PostgresTrouble("The data in " + home + " is in use by another running Zest Stack (process "
                + line(data().resolve("postmaster.pid"), 0) + "). Stop that one first.");
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new PostgresTrouble("No free port on loopback", e);
        }
    }

    private void launch() {
        List<String> command = new ArrayList<>(List.of("setsid", "sh", "-c", HOLD, durable ? "" : home.toString()));
        List<String> settings = new ArrayList<>(List.of(
                "-D", data().toString(),
                "-p", String.valueOf(port),
                "-c", "listen_addresses=127.0.0.1",
                "-c", "unix_socket_directories=",
                "-c", "max_connections=60"));
        if (!durable) {
            settings.addAll(List.of("-c", "fsync=off", "-c", "synchronous_commit=off", "-c", "full_page_writes=off"));
        }
        command.addAll(programs.command("postgres", settings.toArray(String[]::new)));
        try {
            holder = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(log().toFile()))
                    .start();
        } catch (IOException e) {
            throw new PostgresTrouble("Cannot start PostgreSQL", e);
        }
    }

    private void awaitReady() {
        SQLException last = null;
        for (int i = 0; i < READY_SECONDS * 20; i++) {
            try (Connection connection = connect("postgres")) {
                if (connection.isValid(1)) {
                    return;
                }
            } catch (SQLException e) {
                last = e;
            }
            pause(50);
        }
        end();
        throw new PostgresTrouble("PostgreSQL did not answer within " + READY_SECONDS + " s:\n" + tail(), last);
    }

    private Connection connect(String database) throws SQLException {
        return DriverManager.getConnection(url(database), NAME, password);
    }

    /** Runs one statement outside a transaction, as creating databases needs. */
    public void execute(String database, String sql) {
        try (Connection connection = connect(database);
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        } catch (SQLException e) {
            throw new PostgresTrouble("Failed: " + sql, e);
        }
    }

    public String url(String database) {
        return "jdbc:postgresql://127.0.0.1:" + port + "/" + database;
    }

    /** Address of served data. */
    public String url() {
        return url(NAME);
    }

    public String password() {
        return password;
    }

    public Path home() {
        return home;
    }

    private String tail() {
        try {
            List<String> lines = Files.readAllLines(log());
            return String.join("\n", lines.subList(Math.max(0, lines.size() - 12), lines.size()));
        } catch (IOException e) {
            return "(no log in " + log() + ")";
        }
    }

    private static String line(Path file, int number) {
        try {
            return Files.readAllLines(file).get(number);
        } catch (IOException | IndexOutOfBoundsException e) {
            return "unknown";
        }
    }

    private static void pause(long millis) {
        try {
            TimeUnit.MILLISECONDS.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new PostgresTrouble("Interrupted while waiting for PostgreSQL", e);
        }
    }

    /** Stops the server. */
    @Override
    public void close() {
        closing = true;
        end();
    }

    private synchronized void end() {
        if (holder == null) {
            return;
        }
        try {
            holder.getOutputStream().close();
            if (!holder.waitFor(GONE_SECONDS, TimeUnit.SECONDS)) {
                holder.destroy();
            }
        } catch (IOException e) {
            holder.destroy();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        holder = null;
    }
}
