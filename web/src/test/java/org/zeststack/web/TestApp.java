package org.zeststack.web;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.util.FileSystemUtils;
import org.zeststack.demo.DemoPeople;
import org.zeststack.store.TestDatabase;
import org.zeststack.web.security.Proxies;
import org.zeststack.web.start.Application;

/** The real application on a database of its own, and a Chromium to drive it. One Chromium serves all test classes. */
public final class TestApp implements AutoCloseable {

    private static final List<String> FLAGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");
    /** What does not come in so long does not come; a machine that is busy otherwise takes some of it. */
    private static final double PATIENCE_MILLIS = 60_000;

    private static Browser browser;
    /** With the demo's data, which are loaded once; nobody works on it. */
    private static TestDatabase loaded;

    private final TestDatabase database;
    private final ConfigurableApplicationContext context;
    private final Path demoHome = Path.of(System.getProperty("java.io.tmpdir"), "zest-demo-" + UUID.randomUUID());

    private TestApp(TestDatabase database, boolean demo, Map<String, Object> more) {
        this.database = database;
        SpringApplication application = new SpringApplication(Application.class);
        Map<String, Object> settings = new HashMap<>(Map.of(
                "server.address",
                "127.0.0.1",
                "server.port",
                0,
                "zest.demo",
                demo,
                "spring.datasource.url",
                database.url(),
                "spring.datasource.username",
                database.user(),
                "spring.datasource.password",
                ""));
        settings.put("zest.demo-home", demo ? "" : demoHome.toString());
        settings.put("spring.datasource.hikari.maximum-pool-size", 10);
        settings.put("spring.datasource.hikari.minimum-idle", 1);
        settings.putAll(more);
        application.setDefaultProperties(settings);
        application.setRegisterShutdownHook(false);
        context = application.run();
    }

    /** The application with the demo's data. */
    public static TestApp demo() {
        return new TestApp(demoData(), true, Map.of());
    }

    private static synchronized TestDatabase demoData() {
        if (loaded == null) {
            TestDatabase once = TestDatabase.fresh();
            new TestApp(once, true, Map.of()).close();
            loaded = once;
        }
        return loaded.copy();
    }

    /** The application as somebody sees it who has just started it. */
    public static TestApp empty() {
        return new TestApp(TestDatabase.fresh(), false, Map.of());
    }

    /** The application behind reverse proxies at these addresses. */
    public static TestApp behind(String proxies, boolean demo) {
        return new TestApp(demo ? demoData() : TestDatabase.fresh(), demo, Proxies.settings(proxies));
    }

    /** Another instance on the same database. */
    public TestApp second() {
        return new TestApp(database, true, Map.of());
    }

    public String url() {
        return "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    public Object beanNamed(String name) {
        return context.getBean(name);
    }

    private static synchronized Browser browser() {
        if (browser == null) {
            Playwright playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium"))
                            .setHeadless(true)
                            .setArgs(FLAGS));
        }
        return browser;
    }

    /** A new private window. */
    public Page page() {
        return page(url());
    }

    /** A new private window at another server. */
    public static Page page(String url) {
        BrowserContext window = browser()
                .newContext(new Browser.NewContextOptions()
                        .setBaseURL(url)
                        .setViewportSize(1280, 800)
                        .setServiceWorkers(ServiceWorkerPolicy.BLOCK));
        window.setDefaultTimeout(PATIENCE_MILLIS);
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLIS);
        return window.newPage();
    }

    /** A new private window of somebody signed in. */
    public Page signedIn(String login) {
        return signedIn(url(), login);
    }

    /** The same at a demo that runs at {@code url}. */
    public static Page signedIn(String url, String login) {
        Page page = page(url);
        page.navigate("/sign-in");
        page.fill("#username", login);
        page.fill("#password", DemoPeople.ALL.get(0).password());
        page.click("button[type=submit]");
        page.waitForURL("**/");
        return page;
    }

    /** A new private window of the same session. */
    public Page beside(Page signedIn) {
        Page page = page();
        page.context().addCookies(signedIn.context().cookies());
        return page;
    }

    /** Clicks what sends a form, and waits until it has gone out and its page has come. */
    public static void sent(Page page, String button) {
        page.evaluate("window.leaving = true");
        page.click(button);
        page.waitForFunction("() => !window.leaving && document.readyState === 'complete'");
    }

    @Override
    public void close() {
        context.close();
        try {
            FileSystemUtils.deleteRecursively(demoHome);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
