package org.zeststack.core.quantity;

/** How far a computed value may be trusted. What lies outside both is a {@link Refusal}. */
public enum Zone {
    /** Inside the model's published range. */
    SUPPORTED,
    /** Outside it, still useful; always shown with ±. */
    ESTIMATE
}
