package org.zeststack.web.security;

import jakarta.servlet.ServletContext;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.ServletContextInitializer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The reverse proxies that requests come through, where any are configured: only of these is it believed for whom, and by which
 * way, they ask.
 */
@Configuration(proxyBeanMethods = false)
public class Proxies {

    private static final String KEY = Proxies.class.getName();
    private static final Pattern ADDRESS = Pattern.compile("[0-9A-Fa-f.:]{2,45}");

    @Bean
    ServletContextInitializer proxiesKnown(@Value("${zest.proxy:}") String said) {
        return context -> context.setAttribute(KEY, of(said));
    }

    static List<String> in(ServletContext context) {
        return context.getAttribute(KEY) instanceof List<?> all
                ? all.stream().map(String::valueOf).toList()
                : List.of();
    }

    private static List<String> of(String said) {
        return Arrays.stream(said.split(","))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .distinct()
                .toList();
    }

    /** Whether this names addresses of proxies, with commas between them. */
    public static boolean areAddresses(String said) {
        return !of(said).isEmpty()
                && of(said).stream().allMatch(a -> ADDRESS.matcher(a).matches());
    }

    /** Settings of the server for proxies at these addresses. */
    public static Map<String, Object> settings(String said) {
        return Map.of(
                "zest.proxy",
                said,
                // What host was asked for stands in Host; a visitor's own header passes through many proxies as it is.
                "server.tomcat.remoteip.host-header",
                "",
                "server.forward-headers-strategy",
                "native",
                "server.tomcat.remoteip.remote-ip-header",
                "X-Forwarded-For",
                "server.tomcat.remoteip.protocol-header",
                "X-Forwarded-Proto",
                "server.tomcat.remoteip.internal-proxies",
                of(said).stream().map(Pattern::quote).collect(Collectors.joining("|")));
    }
}
