package org.zeststack.web.api;

import java.util.ArrayList;
import java.util.List;

/** The calculators, declared once: the request reader and the description of the interface both follow their fields. */
final class Calculators {

    private Calculators() {}

    static List<Calculator> all() {
        List<Calculator> all = new ArrayList<>(SugarCalculators.all());
        all.addAll(PotCalculators.all());
        all.addAll(TemperCalculators.all());
        all.addAll(CavityCalculators.all());
        return List.copyOf(all);
    }
}
