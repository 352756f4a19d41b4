package org.zeststack.web.security;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Signing in leads to places of ours and nowhere else. */
public class SignInToTest {

    @DataProvider
    public Object[][] asked() {
        return new Object[][] {
            {"/bars/4", "/bars/4"},
            {"/bench/4?step=fill:filling-1", "/bench/4?step=fill:filling-1"},
            {null, "/"},
            {"", "/"},
            {"//elsewhere.example", "/"},
            {"/\\elsewhere.example", "/"},
            {"https://elsewhere.example", "/"},
            {"javascript:alert(1)", "/"},
            {"/bars\r\nSet-Cookie: a=b", "/"},
            {"/" + "a".repeat(500), "/"},
        };
    }

    @Test(dataProvider = "asked")
    public void onlyOurOwnPlacesAreGoneTo(String asked, String to) {
        assertEquals(SignInTo.ours(asked), to);
    }
}
