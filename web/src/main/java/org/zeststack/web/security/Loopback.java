package org.zeststack.web.security;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.List;
import java.util.Set;
import org.apache.catalina.Globals;

/** Whether a request comes from this machine itself, asked for by a name that means this machine. */
public final class Loopback {

    private static final Set<String> NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    private Loopback() {}

    /** What proxies leave on a request; Tomcat takes away what it has understood and says so by an attribute. */
    private static final List<String> TRACES = List.of(
            "Forwarded",
            "X-Forwarded-For",
            "X-Forwarded-Host",
            "X-Forwarded-Proto",
            "X-Forwarded-By",
            "X-Real-IP",
            "Via");

    /**
     * The address must be loopback, nothing may have been forwarded, and the host named must be this machine's, or a page
     * elsewhere could point a name of its own at us. Where a proxy on this machine is configured, whatever comes from it is
     * its.
     */
    public static boolean is(HttpServletRequest request) {
        if (Proxies.in(request.getServletContext()).contains(request.getRemoteAddr())
                || request.getAttribute(Globals.REQUEST_FORWARDED_ATTRIBUTE) != null
                || TRACES.stream().anyMatch(name -> request.getHeader(name) != null)) {
            return false;
        }
        try {
            return InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress()
                    && NAMES.contains(request.getServerName());
        } catch (UnknownHostException e) {
            return false;
        }
    }
}
