package org.zeststack.core.sheet;

/** What the hands do. */
public enum StepKind {
    WEIGH,
    COOK,
    MIX,
    TEMPER,
    LINE,
    FILL,
    CLOSE,
    RELEASE,
    HAND
}
