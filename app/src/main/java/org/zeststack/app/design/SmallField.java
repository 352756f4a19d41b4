package org.zeststack.app.design;

/** A field that a row shows small: a number with its unit, or a check box. */
public interface SmallField {

    String name();

    /** Words before it. */
    String label();

    /** Unit as people see it; empty where it has none. */
    String unit();

    /** Whether it is a number that is typed; else it is a check box. */
    boolean typed();
}
