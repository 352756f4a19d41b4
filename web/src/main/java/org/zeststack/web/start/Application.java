package org.zeststack.web.start;

import java.time.Clock;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.store.StoreConfiguration;

/** The web application. */
@SpringBootApplication(scanBasePackages = "org.zeststack.web")
@Import(StoreConfiguration.class)
@EnableScheduling
public class Application {

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    IngredientTable ingredients() {
        return IngredientTable.shipped();
    }
}
