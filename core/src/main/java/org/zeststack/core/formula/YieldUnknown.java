package org.zeststack.core.formula;

import org.zeststack.core.quantity.Refusal;

/** A formula whose finished mass is not known, so that nothing can be planned with it until somebody writes its moisture. */
public final class YieldUnknown extends Refusal {

    private final transient NamedFormula formula;

    YieldUnknown(NamedFormula formula, String reason) {
        super(formula.name() + ": " + reason);
        this.formula = formula;
    }

    public NamedFormula formula() {
        return formula;
    }
}
