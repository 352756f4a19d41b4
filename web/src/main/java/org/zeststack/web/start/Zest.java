package org.zeststack.web.start;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.zeststack.app.people.Passwords;
import org.zeststack.postgres.DumpFile;
import org.zeststack.postgres.PostgresTrouble;
import org.zeststack.postgres.PrivatePostgres;
import org.zeststack.web.security.Proxies;

/** The program behind the {@code zest} command. */
public final class Zest {

    private static final String USAGE = "usage: zest demo | serve | backup FILE [--demo]"
            + " | restore FILE [--demo] [--replace] | password NAME [--demo]";

    private Zest() {}

    public static void main(String[] arguments) {
        List<String> words = Arrays.asList(arguments);
        try {
            switch (words.isEmpty() ? "" : words.get(0)) {
                case "demo" -> serve(true);
                case "serve" -> serve(false);
                case "backup" -> backup(words);
                case "restore" ->
                    withDatabase(
                            words,
                            database -> DumpFile.restore(
                                    database, argument(words), words.contains("--replace"), newestTables()));
                case "password" -> password(words);
                case "train" -> train();
                default -> throw new PostgresTrouble(USAGE);
            }
        } catch (PostgresTrouble trouble) {
            System.err.println("zest: " + trouble.getMessage());
            System.exit(1);
        }
    }

    private static Path argument(List<String> words) {
        return words.stream()
                .skip(1)
                .filter(w -> !w.startsWith("--"))
                .findFirst()
                .map(file ->
                        Path.of(System.getenv().getOrDefault("ZEST_FROM", "")).resolve(file))
                .orElseThrow(() -> new PostgresTrouble(USAGE));
    }

    /** Data that are there, of the demo or of real work as was said; nothing is made for a backup. */
    private static void backup(List<String> words) {
        Path file = argument(words);
        boolean demo = words.contains("--demo");
        boolean ours = System.getenv("ZEST_DATABASE_URL") == null;
        if (ours && !PrivatePostgres.holdsData(home(demo))) {
            String other = PrivatePostgres.holdsData(home(!demo))
                    ? demo
                            ? " There are data of real work: leave --demo out."
                            : " There are data of the demo: add --demo."
                    : "";
            throw new PostgresTrouble(
                    "There is nothing to back up in %s. ZEST_HOME says where your data lie; it is %s.%s"
                            .formatted(home(demo), homeWords(), other));
        }
        if (ours) {
            PrivatePostgres.existing(home(demo), database -> DumpFile.backup(database, file));
        } else {
            withDatabase(words, database -> DumpFile.backup(database, file));
        }
    }

    /** Another password for an owner who has forgotten theirs, and the first owner where there is none yet, on the machine itself. */
    private static void password(List<String> words) {
        String login = Passwords.login(words.stream()
                .skip(1)
                .filter(w -> !w.startsWith("--"))
                .findFirst()
                .orElse(""));
        boolean demo = words.contains("--demo");
        if (System.getenv("ZEST_DATABASE_URL") == null && !PrivatePostgres.holdsData(home(demo))) {
            throw new PostgresTrouble(
                    "There are no data in " + home(demo) + ". Start ./zest serve once, and stop it again.");
        }
        withDatabase(words, database -> {
            try (Connection connection =
                    DriverManager.getConnection(database.connection(), database.user(), database.password())) {
                System.out.println(NewPassword.set(connection, login, NewPassword.ask(login)));
            } catch (SQLException e) {
                throw new PostgresTrouble("Cannot change the password: " + e.getMessage(), e);
            }
        });
    }

    private static String homeWords() {
        return System.getenv().getOrDefault("ZEST_HOME", "not set, so .zest beside the program");
    }

    /** The newest version of the tables that this release knows. */
    private static int newestTables() {
        try {
            return Stream.of(new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*.sql"))
                    .map(r -> r.getFilename().substring(1).split("__")[0])
                    .mapToInt(Integer::parseInt)
                    .max()
                    .orElseThrow();
        } catch (IOException e) {
            throw new PostgresTrouble("Cannot look into this release", e);
        }
    }

    /** Data of the demo and of real work never mix. */
    private static Path home(boolean demo) {
        String home = System.getenv().getOrDefault("ZEST_HOME", ".zest");
        return Path.of(home, demo ? "demo" : "data");
    }

    private static void withDatabase(List<String> words, Consumer<DumpFile.Database> work) {
        String external = System.getenv("ZEST_DATABASE_URL");
        if (external != null) {
            work.accept(DumpFile.Database.external(external));
        } else {
            PrivatePostgres.attached(home(words.contains("--demo")), work);
        }
    }

    private static void serve(boolean demo) {
        String bind = System.getenv().getOrDefault("ZEST_BIND", "127.0.0.1");
        int port = port();
        requireFree(bind, port);
        Map<String, Object> settings = new HashMap<>(Map.of("server.address", bind, "server.port", port));
        settings.put("zest.demo", demo);
        settings.putAll(proxies());
        String external = System.getenv("ZEST_DATABASE_URL");
        if (external != null) {
            DumpFile.Database database = DumpFile.Database.external(external);
            settings.putAll(dataSource(database.connection(), database.user(), database.password()));
            run(settings, null);
        } else {
            PrivatePostgres postgres = PrivatePostgres.durable(home(demo));
            settings.putAll(demo ? demoSettings(postgres) : dataSource(postgres));
            if (!demo) {
                DumpFile.keepBeforeChange(
                        new DumpFile.Database(postgres.url(), PrivatePostgres.NAME, postgres.password()),
                        home(false).resolveSibling("before"),
                        newestTables());
                settings.put("zest.demo-home", home(true).toString());
            }
            run(settings, postgres);
        }
    }

    private static Map<String, Object> proxies() {
        String said = System.getenv().getOrDefault("ZEST_PROXY", "");
        if (said.isBlank()) {
            return Map.of();
        }
        if (!Proxies.areAddresses(said)) {
            throw new PostgresTrouble("ZEST_PROXY is " + said
                    + "; it must be the address of the reverse proxy as this machine sees it, for example 127.0.0.1,"
                    + " or several with commas between them.");
        }
        return Proxies.settings(said);
    }

    /** Starts once on throw-away data and ends: the build lets the machine remember which classes that took. */
    private static void train() {
        try (PrivatePostgres postgres = PrivatePostgres.throwAway()) {
            SpringApplication application = application();
            Map<String, Object> settings = new HashMap<>(demoSettings(postgres));
            settings.putAll(Map.of("server.address", "127.0.0.1", "server.port", 0));
            application.setDefaultProperties(settings);
            application.run().close();
        }
    }

    /** Settings of a demo; browsers keep cookies by host and not by port, so it has a cookie of its own. */
    static Map<String, Object> demoSettings(PrivatePostgres postgres) {
        Map<String, Object> settings = new HashMap<>(dataSource(postgres));
        settings.put("zest.demo", true);
        settings.put("zest.cookie", "zest-demo");
        return settings;
    }

    private static Map<String, Object> dataSource(PrivatePostgres postgres) {
        return dataSource(postgres.url(), PrivatePostgres.NAME, postgres.password());
    }

    private static Map<String, Object> dataSource(String url, String user, String password) {
        return Map.of(
                "spring.datasource.url", url,
                "spring.datasource.username", user,
                "spring.datasource.password", password);
    }

    private static void run(Map<String, Object> settings, PrivatePostgres postgres) {
        SpringApplication application = application();
        application.setDefaultProperties(settings);
        // The database goes last: requests under way still need it.
        SpringApplication.getShutdownHandlers().add(() -> {
            if (postgres != null) {
                postgres.close();
            }
        });
        ConfigurableApplicationContext context = application.run();
        boolean demoData = Boolean.TRUE.equals(settings.get("zest.demo"));
        String demo = demoData ? DemoSignIns.LINES : "";
        if (demoData && !InetAddress.getLoopbackAddress().getHostAddress().equals(settings.get("server.address"))) {
            demo += "The demo's passwords are no secret: whoever reaches this address can sign in.%n".formatted();
        }
        String behind = settings.containsKey("zest.proxy")
                ? "It believes the proxy at %s.%n".formatted(settings.get("zest.proxy"))
                : "";
        System.out.printf(
                "%nZest Stack is ready at %s%n%s%sCtrl-C stops it.%n",
                Addresses.of(
                        String.valueOf(settings.get("server.address")),
                        context.getEnvironment().getProperty("local.server.port")),
                behind,
                demo);
    }

    /** The application, named: what was worked out of it while building is found by its name, whoever starts it. */
    static SpringApplication application() {
        // A connection is tried before every use, or one that was used a moment ago hangs when the database has stopped
        // since.
        System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
        SpringApplication application = new SpringApplication(Application.class);
        application.setMainApplicationClass(Application.class);
        return application;
    }

    private static int port() {
        String text = System.getenv().getOrDefault("ZEST_PORT", "8480");
        try {
            int port = Integer.parseInt(text);
            if (port >= 1 && port <= 65535) {
                return port;
            }
        } catch (NumberFormatException e) {
            // told below, with the range
        }
        throw new PostgresTrouble("ZEST_PORT is " + text + "; it must be a number from 1 to 65535.");
    }

    private static void requireFree(String bind, int port) {
        try (ServerSocket socket = new ServerSocket()) {
            socket.setReuseAddress(true);
            socket.bind(new InetSocketAddress(InetAddress.getByName(bind), port));
        } catch (IOException e) {
            throw new PostgresTrouble(("Port %d on %s is taken, perhaps by a Zest Stack that still runs. Stop that"
                            + " program, or choose another port: ZEST_PORT=%d ./zest …")
                    .formatted(port, bind, port + 1));
        }
    }
}
