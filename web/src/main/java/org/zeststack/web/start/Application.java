package org.zeststack.web.start;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.zeststack.app.AppConfiguration;
import org.zeststack.demo.DemoConfiguration;

/** The web application. */
@SpringBootApplication(scanBasePackages = "org.zeststack.web")
@Import({AppConfiguration.class, DemoConfiguration.class})
@EnableScheduling
public class Application {

    /** Never started by itself: the build works out from here which parts there are and how they are put together. */
    public static void main(String[] arguments) {
        SpringApplication.run(Application.class, arguments);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    /**
     * Our resources have plain names, so no address in a page needs rewriting; the filter would look for a file behind each.
     */
    @Bean
    FilterRegistrationBean<ResourceUrlEncodingFilter> noRewritingOfAddresses() {
        FilterRegistrationBean<ResourceUrlEncodingFilter> filter =
                new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
        filter.setEnabled(false);
        return filter;
    }
}
