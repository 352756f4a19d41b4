package org.zeststack.postgres;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** PostgreSQL's programs on this machine, and how to run one: as {@code postgres} where we are root. */
final class Programs {

    private static final Path DEBIAN = Path.of("/usr/lib/postgresql");

    private final Path bin;
    private final boolean root;

    private Programs(Path bin, boolean root) {
        this.bin = bin;
        this.root = root;
    }

    /**
     * Finds the newest programs installed.
     *
     * @throws PostgresTrouble if there are none
     */
    static Programs find() {
        if (!Files.isDirectory(DEBIAN)) {
            throw missing();
        }
        try (Stream<Path> versions = Files.list(DEBIAN)) {
            Path bin = versions.filter(v -> v.getFileName().toString().matches("[0-9]+"))
                    .sorted(Comparator.comparingInt(
                                    (Path v) -> Integer.parseInt(v.getFileName().toString()))
                            .reversed())
                    .map(v -> v.resolve("bin"))
                    .filter(b -> Files.isExecutable(b.resolve("postgres")))
                    .findFirst()
                    .orElseThrow(Programs::missing);
            return new Programs(bin, "root".equals(System.getProperty("user.name")));
        } catch (IOException e) {
            throw new PostgresTrouble("Cannot look into " + DEBIAN, e);
        }
    }

    private static PostgresTrouble missing() {
        return new PostgresTrouble("PostgreSQL's server programs are missing. Install Debian's package: postgresql");
    }

    boolean runsAsOther() {
        return root;
    }

    /** Where a program lies. */
    String path(String program) {
        return bin.resolve(program).toString();
    }

    /** The command line of a program, with the change of user that it needs. */
    List<String> command(String program, String... arguments) {
        List<String> command = new ArrayList<>(prefix());
        command.add(path(program));
        command.addAll(List.of(arguments));
        return command;
    }

    /** Words before a command that make it run as the server's user in a directory that user may be in. */
    List<String> prefix() {
        return root
                ? List.of("setpriv", "--reuid=postgres", "--regid=postgres", "--clear-groups", "env", "-C", "/")
                : List.of();
    }

    /** Runs a command to its end. Returns its exit code; output goes to {@code log}. */
    static int run(List<String> command, Path log) {
        try {
            return new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()))
                    .start()
                    .waitFor();
        } catch (IOException e) {
            throw new PostgresTrouble("Cannot run " + command.get(0), e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new PostgresTrouble("Interrupted while running " + command, e);
        }
    }
}
