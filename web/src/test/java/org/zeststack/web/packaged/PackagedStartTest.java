package org.zeststack.web.packaged;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.util.FileSystemUtils;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.postgres.PrivatePostgres;
import org.zeststack.web.Started;
import org.zeststack.web.TestApp;

/**
 * What only the program as it is packaged and started shows: flags that tests do not set, archives of classes, the command's own
 * words. Everything goes through the real command, as somebody would who has just got it.
 */
public class PackagedStartTest {

    private static final String PASSWORD = "lantern-harbour-quay";
    private Path home;
    private Started served;

    @BeforeClass
    public void start() throws Exception {
        home = Files.createTempDirectory("zest-packaged");
        served = Started.at(home, "serve", Map.of());
    }

    @AfterClass(alwaysRun = true)
    public void stop() throws Exception {
        if (served != null) {
            served.stop();
        }
        FileSystemUtils.deleteRecursively(home);
    }

    /** The whole life of an installation, in its order. */
    @Test
    public void fromAFreshStartToARestore() throws Exception {
        theDemoOpensBesideAnEmptyWorkshop();
        theFirstVisitMakesTheOwner();
        aBackupIsWrittenWhileItRunsAndReadBackWhenItDoesNot();
        beforeTheTablesAreChangedEverythingIsKept();
        itsLogHasNoWarningsButThoseWeKnow();
    }

    private void theDemoOpensBesideAnEmptyWorkshop() {
        Page page = TestApp.page(served.url());
        page.navigate("/");
        assertTrue(page.url().endsWith("/welcome"), page.url());
        TestApp.sent(page, "text=Look around the demo");
        String demo = page.locator("a.next").getAttribute("href");
        Page beside = TestApp.signedIn(demo.replaceAll("/$", ""), "runa");
        assertEquals(beside.navigate("/bars/4").status(), 200);
        assertTrue(beside.locator("svg").count() > 0);
        // It is there already when it is asked for again.
        page.navigate("/welcome");
        TestApp.sent(page, "text=Look around the demo");
        assertEquals(page.locator("a.next").getAttribute("href"), demo);
    }

    private void theFirstVisitMakesTheOwner() {
        Page page = TestApp.page(served.url());
        page.navigate("/welcome");
        page.fill("#workshop", "Packaged");
        page.fill("#placeAmount", "650");
        page.fill("#name", "Ada");
        page.fill("#login", "ada");
        page.fill("#password", PASSWORD);
        TestApp.sent(page, "text=Create the owner");
        assertEquals(signedIn(PASSWORD).status(), 200);
    }

    private Response signedIn(String password) {
        Page page = TestApp.page(served.url());
        page.navigate("/sign-in");
        page.fill("#username", "ada");
        page.fill("#password", password);
        TestApp.sent(page, "button[type=submit]");
        assertTrue(!page.url().contains("/sign-in"), page.url());
        return page.navigate("/workshop");
    }

    private void aBackupIsWrittenWhileItRunsAndReadBackWhenItDoesNot() throws Exception {
        String file = home.resolve("backup").toString();
        String backup = Started.once(home, "", "backup", file);
        assertTrue(backup.startsWith("0:") && Files.size(Path.of(file)) > 10_000, backup);
        String under = Started.once(home, "", "restore", file, "--replace");
        assertTrue(under.startsWith("1:") && under.contains("Stop it first"), under);
        String another = Started.once(home, "another-quay-lantern\n", "password", "ada");
        assertTrue(another.startsWith("0:"), another);
        assertEquals(signedIn("another-quay-lantern").status(), 200);
        served.stop();
        String kept = Started.once(home, "", "restore", file);
        assertTrue(kept.startsWith("1:") && kept.contains("--replace"), kept);
        String back = Started.once(home, "", "restore", file, "--replace");
        assertTrue(back.startsWith("0:"), back);
        served = Started.at(home, "serve", Map.of());
        assertEquals(signedIn(PASSWORD).status(), 200, "the password of when the backup was written");
    }

    /** As a release left the data that knew no index over readings yet. */
    private void beforeTheTablesAreChangedEverythingIsKept() throws Exception {
        Path before = home.resolve("home").resolve("before");
        assertTrue(Files.notExists(before), "tables of this release are not kept");
        served.stop();
        PrivatePostgres.existing(home.resolve("home").resolve("data"), database -> {
            try (Connection connection =
                            DriverManager.getConnection(database.connection(), database.user(), database.password());
                    Statement older = connection.createStatement()) {
                older.execute("drop table design_version_use");
                older.execute("alter table component drop column formula");
                older.execute("drop index run_day, run_status, run_bar, component_key, lot_best_before");
                older.execute("delete from flyway_schema_history where version = '12'");
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        });
        served = Started.at(home, "serve", Map.of());
        assertTrue(served.said().contains("changes the tables from version 11 to "), served.said());
        assertEquals(signedIn(PASSWORD).status(), 200);
        served.stop();
        Path kept;
        try (Stream<Path> files = Files.list(before)) {
            kept = files.reduce((a, b) -> a.compareTo(b) > 0 ? a : b).orElseThrow();
        }
        assertTrue(kept.getFileName().toString().startsWith("tables-11-"), kept.toString());
        String back = Started.once(home, "", "restore", kept.toString(), "--replace");
        assertTrue(back.startsWith("0:"), back);
        served = Started.at(home, "serve", Map.of());
        assertEquals(signedIn(PASSWORD).status(), 200, "what was kept is whole");
    }

    @Test
    public void behindAProxyOnTheSameMachineTheCommandMakesTheFirstOwner() throws Exception {
        Path other = Files.createTempDirectory("zest-packaged");
        Started behind = Started.at(other, "serve", Map.of("ZEST_PROXY", "127.0.0.1"));
        try {
            Page page = TestApp.page(behind.url());
            assertEquals(page.navigate("/").status(), 403);
            assertTrue(page.content().contains("./zest password NAME"), page.content());
            String made = Started.once(other, PASSWORD + "\n", "password", "ada");
            assertTrue(made.startsWith("0:") && made.contains("owner"), made);
            page.navigate("/sign-in");
            page.fill("#username", "ada");
            page.fill("#password", PASSWORD);
            TestApp.sent(page, "button[type=submit]");
            assertEquals(page.navigate("/workshop/people").status(), 200);
            String nobody = Started.once(other, PASSWORD + "\n", "password", "bob");
            assertTrue(nobody.startsWith("1:") && nobody.contains("Nobody signs in as"), nobody);
        } finally {
            behind.close();
        }
    }

    private void itsLogHasNoWarningsButThoseWeKnow() throws Exception {
        String warned = served.said()
                .lines()
                .filter(line -> line.matches(".*\\b(WARN|ERROR)\\b.*"))
                .reduce("", (a, b) -> a + b + "\n");
        assertEquals(warned, "");
    }
}
