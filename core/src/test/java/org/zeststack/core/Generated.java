package org.zeststack.core;

/** How many cases a test makes up: all of them, or the share that the property {@code zest.generated} asks for. */
public final class Generated {

    private Generated() {}

    public static int of(int all) {
        return (int) Math.ceil(all * Double.parseDouble(System.getProperty("zest.generated", "1")));
    }
}
