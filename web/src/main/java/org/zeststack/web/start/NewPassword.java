package org.zeststack.web.start;

import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.zeststack.app.people.Passwords;
import org.zeststack.postgres.PostgresTrouble;

/** Sets a password on the machine that the workshop runs on. */
final class NewPassword {

    private NewPassword() {}

    /** Reads it from the terminal unseen, or as a line where there is none. */
    static String ask(String login) {
        Console console = System.console();
        if (console != null) {
            char[] typed = console.readPassword("New password of %s: ", login);
            return typed == null ? "" : new String(typed);
        }
        try {
            String line = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8)).readLine();
            return line == null ? "" : line;
        } catch (IOException e) {
            throw new PostgresTrouble("No password could be read", e);
        }
    }

    /**
     * Sets it, and ends what is signed in under the name. Where nobody is there yet, the name becomes the first owner's: behind a
     * proxy on the same machine no page can tell that somebody sits at it.
     *
     * @return what was done
     * @throws PostgresTrouble where others have a name and nobody this one, or it is no good password
     */
    static String set(Connection connection, String login, String password) throws SQLException {
        Optional<String> name = one(connection, "select name from person where login = ?", login);
        boolean first = name.isEmpty()
                && one(connection, "select login from person limit 1").isEmpty()
                && one(connection, "select name from workshop").isEmpty();
        if (name.isEmpty() && !first) {
            throw new PostgresTrouble(
                    "Nobody signs in as \u201c" + login + "\u201d. Usage: ./zest password NAME [--demo]");
        }
        if (!Passwords.isLogin(login)) {
            throw new PostgresTrouble("A sign-in name has letters, digits and . _ @ + - only.");
        }
        Optional<String> fault = Passwords.fault(password, List.of(login, name.orElse(login)));
        if (fault.isPresent()) {
            throw new PostgresTrouble(fault.get());
        }
        String hash = new BCryptPasswordEncoder(11).encode(password);
        connection.setAutoCommit(false);
        if (first) {
            makeOwner(connection, login, hash);
        } else {
            run(connection, "update person set active = true, password_hash = ? where login = ?", hash, login);
        }
        run(
                connection,
                "insert into people_event (at, by, about, what) values (now(), 'this machine', ?, ?)",
                login,
                first ? "made the first owner" : "given another password");
        run(connection, "delete from sign_in_failure where login = ?", login);
        run(connection, "delete from spring_session where principal_name = ?", login);
        connection.commit();
        return first
                ? login + " is the owner of a new workshop at sea level; its name and place are set under Workshop."
                : "The password of " + login + " is changed; who was signed in under that name must do so again.";
    }

    private static void makeOwner(Connection connection, String login, String hash) throws SQLException {
        run(
                connection,
                "insert into workshop (id, name, just_me, place_by, place_amount, changed_by, changed_at)"
                        + " values (1, 'Our workshop', false, 'ALTITUDE', 0, ?, now())",
                login);
        run(
                connection,
                "insert into person (login, name, password_hash, role, created_at) values (?, ?, ?, 'OWNER', now())",
                login,
                login,
                hash);
    }

    private static Optional<String> one(Connection connection, String sql, String... values) throws SQLException {
        try (PreparedStatement find = prepared(connection, sql, values)) {
            try (ResultSet found = find.executeQuery()) {
                return found.next() ? Optional.of(found.getString(1)) : Optional.empty();
            }
        }
    }

    private static void run(Connection connection, String sql, String... values) throws SQLException {
        try (PreparedStatement statement = prepared(connection, sql, values)) {
            statement.executeUpdate();
        }
    }

    private static PreparedStatement prepared(Connection connection, String sql, String... values) throws SQLException {
        PreparedStatement statement = connection.prepareStatement(sql);
        for (int i = 0; i < values.length; i++) {
            statement.setString(i + 1, values[i]);
        }
        return statement;
    }
}
