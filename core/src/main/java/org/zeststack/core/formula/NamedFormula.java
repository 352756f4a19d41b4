package org.zeststack.core.formula;

import org.zeststack.core.component.Component;

/** A formula version with its name. */
public record NamedFormula(long id, String name, int version, Formula formula) {

    /** The component's key on the run sheet. */
    public String key() {
        return component().key();
    }

    public Component.Made component() {
        return link().component();
    }

    public FormulaLink link() {
        return new FormulaLink(id, version);
    }
}
