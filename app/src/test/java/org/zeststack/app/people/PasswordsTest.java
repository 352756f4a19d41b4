package org.zeststack.app.people;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What may be a password and a sign-in name. */
public class PasswordsTest {

    @DataProvider
    public Object[][] passwords() {
        return new Object[][] {
            {"brass kettle on the quay", ""},
            {"brass kettle", ""},
            {"brass kettl", "12 characters or more; these are 11"},
            {"", "these are 0"},
            {"password1234", "guessed among the first"},
            {"aaaaaaaaaaaa", "guessed among the first"},
            {"qwertyuiop12", "guessed among the first"},
            {"runarunaruna", "guessed among the first"},
            {"brass kettle on the quay".repeat(3), ""},
            {"brass kettle on the quay".repeat(3) + "x", "at most 72"},
            {"käsekuchen-löffel-über-straße-größer-möwe-süß-äpfel-öfen-üben-ß-ä", "at most 72"},
        };
    }

    @Test(dataProvider = "passwords")
    public void aPasswordIsLongAndNotCommon(String password, String told) {
        String fault = Passwords.fault(password, List.of("runa", "Runa of the lantern"))
                .orElse("");
        assertTrue(told.isEmpty() ? fault.isEmpty() : fault.contains(told), fault);
    }

    @DataProvider
    public Object[][] logins() {
        return new Object[][] {
            {" Runa ", "runa", true},
            {"ÅSA", "åsa", true},
            {"A\u030aSA", "åsa", true},
            {"ｒｕｎａ", "runa", true},
            {"teo.b+1@quay", "teo.b+1@quay", true},
            {"ru\u202ena", "runa", true},
            {"ru\u0000na", "runa", true},
            {"ru na", "ru na", false},
            {"<b>", "<b>", false},
            {"", "", false},
            {null, "", false},
            {"x".repeat(80), "x".repeat(60), true},
        };
    }

    @Test(dataProvider = "logins")
    public void aSignInNameHasOneForm(String typed, String kept, boolean permitted) {
        assertEquals(Passwords.login(typed), kept);
        assertEquals(Passwords.isLogin(kept), permitted);
    }

    @Test
    public void whatNobodySeesInANameIsFound() {
        assertTrue(Passwords.hidesSomething("ru\u202ena"));
        assertTrue(Passwords.hidesSomething("ru\u0000na"));
        assertFalse(Passwords.hidesSomething("A\u030aSA"));
    }
}
