package org.zeststack.web.start;

import java.net.InetAddress;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.stereotype.Component;
import org.zeststack.postgres.PostgresTrouble;
import org.zeststack.postgres.PrivatePostgres;

/**
 * The demo as a second workshop beside this one: its own database, port and session, reached from this machine only. It is started when
 * it is first asked for and ends with this one, so that data of the demo and of real work never mix.
 */
@Component
class DemoBeside implements DisposableBean {

    private final String home;
    private PrivatePostgres postgres;
    private ConfigurableApplicationContext context;

    /**
     * The demo's place.
     *
     * @param home where its data lie; empty where this workshop is the demo, or has a database that it did not start
     */
    DemoBeside(@Value("${zest.demo-home:}") String home) {
        this.home = home;
    }

    /**
     * Address of the demo, which is started where it is not running yet.
     *
     * @throws PostgresTrouble where it cannot be, with what to do
     */
    synchronized String address() {
        if (home.isEmpty()) {
            throw new PostgresTrouble("The demo cannot be started from here. In a terminal, ./zest demo opens it.");
        }
        if (context == null) {
            if (postgres == null) {
                postgres = PrivatePostgres.durable(Path.of(home));
            }
            context = start();
        }
        return "http://%s:%s/"
                .formatted(
                        InetAddress.getLoopbackAddress().getHostAddress(),
                        context.getEnvironment().getProperty("local.server.port"));
    }

    private ConfigurableApplicationContext start() {
        SpringApplication application = Zest.application();
        Map<String, Object> settings = new HashMap<>(Zest.demoSettings(postgres));
        settings.put("server.address", InetAddress.getLoopbackAddress().getHostAddress());
        settings.put("server.port", 0);
        application.setDefaultProperties(settings);
        application.setRegisterShutdownHook(false);
        return application.run();
    }

    @Override
    public synchronized void destroy() {
        if (context != null) {
            context.close();
        }
        if (postgres != null) {
            postgres.close();
        }
    }
}
