package org.zeststack.core.quantity;

/** A number that the models cannot give for this input; the message is the reason, in words for people. */
public class Refusal extends RuntimeException {

    public Refusal(String reason) {
        super(reason);
    }
}
