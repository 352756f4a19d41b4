package org.zeststack.core.formula;

/** A formula version with its name. */
public record NamedFormula(long id, String name, int version, Formula formula) {

    /** The component's key on the run sheet. */
    public String key() {
        return "formula-" + id + "-v" + version;
    }

    public FormulaLink link() {
        return new FormulaLink(id, version);
    }
}
