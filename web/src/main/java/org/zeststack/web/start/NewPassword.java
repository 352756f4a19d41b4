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
import org.zeststack.postgres.PostgresTrouble;
import org.zeststack.web.security.Passwords;

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
     * Sets it, and ends what is signed in under the name.
     *
     * @throws PostgresTrouble where nobody has that name, or it is no good password
     */
    static void set(Connection connection, String login, String password) throws SQLException {
        try (PreparedStatement find = connection.prepareStatement("select name from person where login = ?")) {
            find.setString(1, login);
            try (ResultSet found = find.executeQuery()) {
                if (!found.next()) {
                    throw new PostgresTrouble(
                            "Nobody signs in as “" + login + "”. Usage: ./zest password NAME [--demo]");
                }
                Optional<String> fault = Passwords.fault(password, List.of(login, found.getString(1)));
                if (fault.isPresent()) {
                    throw new PostgresTrouble(fault.get());
                }
            }
        }
        connection.setAutoCommit(false);
        run(
                connection,
                "update person set active = true, password_hash = ? where login = ?",
                new BCryptPasswordEncoder(11).encode(password),
                login);
        run(
                connection,
                "insert into people_event (at, by, about, what) values (now(), 'this machine', ?, 'given another password')",
                login);
        run(connection, "delete from sign_in_failure where login = ?", login);
        run(connection, "delete from spring_session where principal_name = ?", login);
        connection.commit();
    }

    private static void run(Connection connection, String sql, String... values) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            for (int i = 0; i < values.length; i++) {
                statement.setString(i + 1, values[i]);
            }
            statement.executeUpdate();
        }
    }
}
