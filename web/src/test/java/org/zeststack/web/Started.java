package org.zeststack.web;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.util.FileSystemUtils;

/** The program as the start command starts it, with a home of its own that goes with it. */
public record Started(Process process, Path home, String url) implements AutoCloseable {

    private static final int START_SECONDS = 240;
    private static final Pattern TOTAL = Pattern.compile("Total\\s+\\d+\\s+(\\d+)");

    static Started demo() throws IOException, InterruptedException {
        return at(Files.createTempDirectory("zest-started"), "demo", Map.of());
    }

    /**
     * Starts it and waits until it says that it is ready.
     *
     * @param home where its data lie
     * @param command demo or serve
     * @param more settings of the environment
     */
    public static Started at(Path home, String command, Map<String, String> more)
            throws IOException, InterruptedException {
        Path said = home.resolve("said");
        String port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = String.valueOf(free.getLocalPort());
        }
        ProcessBuilder start = zest(home, command).redirectOutput(said.toFile());
        start.environment().put("ZEST_PORT", port);
        start.environment().putAll(more);
        Started started = new Started(start.start(), home, "http://127.0.0.1:" + port);
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(START_SECONDS);
        while (!Files.readString(said).contains("Ctrl-C")) {
            if (!started.process.isAlive() || System.nanoTime() > end) {
                String why = Files.readString(said);
                started.stop();
                throw new IllegalStateException("It did not start: " + why);
            }
            TimeUnit.MILLISECONDS.sleep(200);
        }
        return started;
    }

    private static ProcessBuilder zest(Path home, String... words) {
        String[] command = new String[words.length + 1];
        command[0] = "./zest";
        System.arraycopy(words, 0, command, 1, words.length);
        ProcessBuilder zest =
                new ProcessBuilder(command).directory(Path.of("..").toFile()).redirectErrorStream(true);
        zest.environment().put("ZEST_HOME", home.resolve("home").toString());
        return zest;
    }

    /** Runs the command once on the data in {@code home}; what it said, with how it ended in front. */
    public static String once(Path home, String typed, String... words) throws IOException, InterruptedException {
        Process process = zest(home, words).start();
        process.getOutputStream().write(typed.getBytes(UTF_8));
        process.getOutputStream().close();
        String said = new String(process.getInputStream().readAllBytes(), UTF_8);
        return process.waitFor() + ": " + said;
    }

    /** What it has said since it was started. */
    public String said() throws IOException {
        return Files.readString(home.resolve("said"));
    }

    /** Memory that is in use after everything that is not was given back. */
    long liveBytes() throws IOException {
        Process histogram = new ProcessBuilder("jcmd", String.valueOf(process.pid()), "GC.class_histogram")
                .redirectErrorStream(true)
                .start();
        Matcher total = TOTAL.matcher(new String(histogram.getInputStream().readAllBytes(), UTF_8));
        if (!total.find()) {
            throw new IllegalStateException("The memory of " + process.pid() + " is not told");
        }
        return Long.parseLong(total.group(1));
    }

    /** Stops it; its data stay. */
    public void stop() throws InterruptedException {
        process.destroy();
        process.waitFor();
    }

    @Override
    public void close() throws IOException, InterruptedException {
        stop();
        FileSystemUtils.deleteRecursively(home);
    }
}
