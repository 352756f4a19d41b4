package org.zeststack.postgres;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Comparator;
import java.util.stream.Stream;
import org.testng.annotations.Test;

public class PrivatePostgresTest {

    private static String show(PrivatePostgres postgres, String sql) throws SQLException {
        try (Connection connection =
                        DriverManager.getConnection(postgres.url(), PrivatePostgres.NAME, postgres.password());
                Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery(sql)) {
            result.next();
            return result.getString(1);
        }
    }

    @Test
    public void durableDataOutlivesTheServerAndAsksForItsPassword() throws Exception {
        Path parent = Files.createTempDirectory("zest-test-");
        Files.setPosixFilePermissions(parent, PosixFilePermissions.fromString("rwxr-xr-x"));
        Path home = parent.resolve("kept");
        try (PrivatePostgres postgres = PrivatePostgres.durable(home)) {
            postgres.execute(PrivatePostgres.NAME, "create table kept as select 42 as answer");
            assertEquals(show(postgres, "show fsync"), "on");
            assertEquals(show(postgres, "show listen_addresses"), "127.0.0.1");
            String url = postgres.url();
            expectThrows(SQLException.class, () -> DriverManager.getConnection(url, PrivatePostgres.NAME, "guess"));
        }
        try (PrivatePostgres postgres = PrivatePostgres.durable(home)) {
            assertEquals(show(postgres, "select answer from kept"), "42");
        }
        delete(parent);
    }

    /** A server that is killed comes back by itself with what was written to it. */
    @Test
    public void aServerThatIsKilledIsStartedAgain() throws Exception {
        Path parent = Files.createTempDirectory("zest-test-");
        Files.setPosixFilePermissions(parent, PosixFilePermissions.fromString("rwxr-xr-x"));
        try (PrivatePostgres postgres = PrivatePostgres.durable(parent.resolve("kept"))) {
            postgres.execute(PrivatePostgres.NAME, "create table kept as select 42 as answer");
            Path note = postgres.home().resolve("data").resolve("postmaster.pid");
            String pid = Files.readAllLines(note).get(0);
            ProcessHandle.of(Long.parseLong(pid)).orElseThrow().destroyForcibly();
            String answer = "";
            for (int i = 0; i < 300 && answer.isEmpty(); i++) {
                Thread.sleep(100);
                answer = answered(postgres, pid, note);
            }
            assertEquals(answer, "42");
        }
        delete(parent);
    }

    /** What the server that came after one says; empty while it is not there. */
    private static String answered(PrivatePostgres postgres, String before, Path note) {
        try {
            boolean another = !Files.readAllLines(note).get(0).equals(before);
            return another ? show(postgres, "select answer from kept") : "";
        } catch (IOException | IndexOutOfBoundsException | SQLException e) {
            return "";
        }
    }

    @Test
    public void aDirectoryClosedToTheServersUserIsReplaced() throws Exception {
        Path closed = Files.createTempDirectory("zest-closed-");
        Path used;
        try (PrivatePostgres postgres = PrivatePostgres.durable(closed.resolve("data"))) {
            used = postgres.home();
            assertEquals(show(postgres, "select 1"), "1");
        }
        boolean moved = !used.startsWith(closed);
        delete(used);
        Files.deleteIfExists(closed);
        assertEquals(moved, Programs.find().runsAsOther(), "only another user needs another place");
    }

    @Test
    public void throwAwayDataIsGoneAfterwards() throws Exception {
        PrivatePostgres postgres = PrivatePostgres.throwAway();
        Path home = postgres.home();
        assertEquals(show(postgres, "show fsync"), "off");
        assertTrue(Files.exists(home));
        postgres.close();
        assertFalse(Files.exists(home));
    }

    @Test
    public void theServerStopsWhenItsOwnerIsKilled() throws Exception {
        ProcessBuilder builder = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Owner.class.getName());
        Process owner = builder.start();
        java.io.BufferedReader said = owner.inputReader();
        String url = said.readLine();
        Path home = Path.of(said.readLine());
        DriverManager.getConnection(url, PrivatePostgres.NAME, "").close();
        owner.destroyForcibly().waitFor();
        boolean gone = false;
        for (int i = 0; i < 100 && !gone; i++) {
            try (Connection still = DriverManager.getConnection(url, PrivatePostgres.NAME, "")) {
                assertFalse(still.isClosed());
                java.util.concurrent.TimeUnit.MILLISECONDS.sleep(100);
            } catch (SQLException e) {
                gone = true;
            }
        }
        assertTrue(gone, "the server outlived its owner");
        for (int i = 0; i < 100 && Files.exists(home); i++) {
            java.util.concurrent.TimeUnit.MILLISECONDS.sleep(100);
        }
        assertFalse(Files.exists(home), "the killed owner's data is left behind");
    }

    private static void delete(Path home) throws IOException {
        try (Stream<Path> all = Files.walk(home)) {
            for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(path);
            }
        }
    }

    /** A process that starts a server, tells its address and waits to be killed. */
    static final class Owner {
        public static void main(String[] arguments) throws Exception {
            PrivatePostgres postgres = PrivatePostgres.throwAway();
            System.out.println(postgres.url());
            System.out.println(postgres.home());
            System.in.read();
            postgres.close();
        }
    }
}
