package org.zeststack.core.formula;

/** Families of formulas; each has a material that draws it in every picture. */
public enum Family {
    CARAMEL("Caramel", "caramel"),
    NUT_PASTE("Nut or seed paste", "nut-paste"),
    GANACHE("Ganache", "ganache"),
    GEL("Fruit gel", "gel"),
    OTHER("Other filling", "crunch");

    private final String title;
    private final String material;

    Family(String title, String material) {
        this.title = title;
        this.material = material;
    }

    public String title() {
        return title;
    }

    public String material() {
        return material;
    }
}
