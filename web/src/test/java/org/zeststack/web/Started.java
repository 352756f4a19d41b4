package org.zeststack.web;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.util.FileSystemUtils;

/** A demo as the start command starts it, with a home of its own that goes with it. */
record Started(Process process, Path home, String url) implements AutoCloseable {

    private static final int START_SECONDS = 120;
    private static final Pattern TOTAL = Pattern.compile("Total\\s+\\d+\\s+(\\d+)");

    static Started demo() throws IOException, InterruptedException {
        Path home = Files.createTempDirectory("zest-started");
        Path said = home.resolve("said");
        String port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = String.valueOf(free.getLocalPort());
        }
        ProcessBuilder start = new ProcessBuilder("./zest", "demo")
                .directory(Path.of("..").toFile())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile());
        start.environment().put("ZEST_HOME", home.resolve("home").toString());
        start.environment().put("ZEST_PORT", port);
        Started started = new Started(start.start(), home, "http://127.0.0.1:" + port);
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(START_SECONDS);
        while (!Files.readString(said).contains("Ctrl-C")) {
            if (!started.process.isAlive() || System.nanoTime() > end) {
                String why = Files.readString(said);
                started.close();
                throw new IllegalStateException("The demo did not start: " + why);
            }
            Thread.sleep(200);
        }
        return started;
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

    @Override
    public void close() throws IOException, InterruptedException {
        process.destroy();
        process.waitFor();
        FileSystemUtils.deleteRecursively(home);
    }
}
