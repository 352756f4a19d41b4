package org.zeststack.web.start;

import java.sql.Connection;
import java.sql.SQLException;

/** Opens the command's work to tests of other packages. */
public final class PasswordOnTheMachine {

    private PasswordOnTheMachine() {}

    public static void set(Connection connection, String login, String password) throws SQLException {
        NewPassword.set(connection, login, password);
    }
}
