package org.zeststack.web;

import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;

/** A test class that works on a demo workshop of its own. */
public abstract class WithDemo {

    protected TestApp app;

    @BeforeClass
    public void openDemo() {
        app = TestApp.demo();
    }

    @AfterClass(alwaysRun = true)
    public void closeDemo() {
        app.close();
    }
}
