package org.zeststack.core.bar;

/** What a layer is. */
public enum LayerKind {
    DECORATION("decoration", false),
    SHELL("shell", false),
    FOOT("foot", true),
    BASE("base", true),
    SHEET("sheet", true),
    FILLING("filling", true),
    INSERT("insert", false),
    INCLUSION("inclusion", false),
    BACK("back", true),
    VENEER("veneer", true),
    COAT("coat", false),
    TOPPING("topping", false);

    private final String words;
    private final boolean level;

    LayerKind(String words, boolean level) {
        this.words = words;
        this.level = level;
    }

    public String words() {
        return words;
    }

    /** Whether it lies between two levels of the stack. */
    public boolean level() {
        return level;
    }
}
