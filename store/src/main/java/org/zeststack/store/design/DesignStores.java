package org.zeststack.store.design;

import org.jooq.DSLContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.box.Box;
import org.zeststack.core.formula.Formula;

@Configuration(proxyBeanMethods = false)
class DesignStores {

    @Bean
    Designs<Bar> bars(DSLContext db) {
        return new JooqDesigns<>(db, "BAR", Bar.class);
    }

    @Bean
    Designs<Box> boxes(DSLContext db) {
        return new JooqDesigns<>(db, "BOX", Box.class);
    }

    @Bean
    Designs<Formula> formulas(DSLContext db) {
        return new JooqDesigns<>(db, "FORMULA", Formula.class);
    }
}
