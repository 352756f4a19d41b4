package org.zeststack.store.design;

import java.util.Map;
import java.util.Set;
import org.jooq.DSLContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.Build;
import org.zeststack.core.box.Box;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;

@Configuration(proxyBeanMethods = false)
class DesignStores {

    @Bean
    Designs<Bar> bars(DSLContext db) {
        return new JooqDesigns<>(
                db, new Kind<>("BAR", Bar.class, "build", Kind.titles(Build.values(), Build::title), Bar::materials));
    }

    @Bean
    Designs<Box> boxes(DSLContext db) {
        return new JooqDesigns<>(db, new Kind<>("BOX", Box.class, "", Map.of(), box -> Set.of()));
    }

    @Bean
    Designs<Formula> formulas(DSLContext db) {
        return new JooqDesigns<>(
                db,
                new Kind<>(
                        "FORMULA",
                        Formula.class,
                        "family",
                        Kind.titles(Family.values(), Family::title),
                        formula -> formula.lines().stream()
                                .map(FormulaLine::ingredient)
                                .toList()));
    }
}
