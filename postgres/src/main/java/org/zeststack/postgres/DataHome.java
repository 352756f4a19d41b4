package org.zeststack.postgres;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.nio.file.attribute.UserPrincipalLookupService;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/** Where a server's data lies, owned by the server's user and closed to others. */
final class DataHome {

    private static final Path STATE = Path.of("/var/lib/zest-stack");

    private DataHome() {}

    /** The wanted directory, or a state directory where the server's user may not go there. */
    static Path prepare(Path wanted, Programs programs) {
        Path home = find(wanted, programs);
        create(home, programs);
        return home;
    }

    /** Where that directory is or would be; nothing is made. */
    static Path find(Path wanted, Programs programs) {
        Path home = wanted.toAbsolutePath().normalize();
        if (programs.runsAsOther() && !reachable(nearestExisting(home), programs)) {
            String name = UUID.nameUUIDFromBytes(home.toString().getBytes(StandardCharsets.UTF_8))
                    .toString();
            return STATE.resolve(name);
        }
        return home;
    }

    /** A new private directory for throw-away data. */
    static Path temporary(Programs programs) {
        try {
            Path home = Files.createTempDirectory("zest-postgres-");
            give(home, programs);
            return home;
        } catch (IOException e) {
            throw new PostgresTrouble("No temporary directory for PostgreSQL", e);
        }
    }

    private static Path nearestExisting(Path path) {
        Path existing = path;
        while (!Files.exists(existing)) {
            existing = existing.getParent();
        }
        return existing;
    }

    private static boolean reachable(Path directory, Programs programs) {
        List<String> command = new ArrayList<>(programs.prefix());
        command.addAll(List.of("test", "-x", directory.toString()));
        try {
            return new ProcessBuilder(command).start().waitFor() == 0;
        } catch (IOException e) {
            throw new PostgresTrouble("Cannot change to the user postgres", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new PostgresTrouble("Interrupted", e);
        }
    }

    private static void create(Path home, Programs programs) {
        try {
            Files.createDirectories(home.getParent());
            if (!Files.exists(home)) {
                Files.createDirectory(
                        home, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
                give(home, programs);
            }
        } catch (IOException e) {
            throw new PostgresTrouble("Cannot create the data directory " + home, e);
        }
    }

    /** Makes a file the server's user's own. */
    static void give(Path path, Programs programs) throws IOException {
        if (!programs.runsAsOther()) {
            return;
        }
        UserPrincipalLookupService users = path.getFileSystem().getUserPrincipalLookupService();
        PosixFileAttributeView view = Files.getFileAttributeView(path, PosixFileAttributeView.class);
        view.setOwner(users.lookupPrincipalByName("postgres"));
        view.setGroup(users.lookupPrincipalByGroupName("postgres"));
    }
}
