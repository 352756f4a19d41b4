package org.zeststack.web.security;

import static org.testng.Assert.assertEquals;

import java.time.Duration;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** How long the next try waits, from both sides of every bound. */
public class SignInThrottleTest {

    @DataProvider
    public Object[][] failures() {
        return new Object[][] {
            {4, 0, 0},
            {5, 5, 0},
            {6, 10, 0},
            {10, 160, 0},
            {11, 300, 0},
            {19, 300, 0},
            {20, 300, 2},
            {24, 300, 2},
            {25, 300, 4},
            {44, 300, 32},
            {45, 300, 60},
            {1000, 300, 60},
        };
    }

    @Test(dataProvider = "failures")
    public void eachWaitIsLongerUpToABound(int failures, int account, int address) {
        assertEquals(SignInThrottle.WAITS.ofAccount(failures), Duration.ofSeconds(account));
        assertEquals(SignInThrottle.WAITS.ofAddress(failures), Duration.ofSeconds(address));
    }
}
