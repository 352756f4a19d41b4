package org.zeststack.web.security;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Set;

/** Whether a request comes from this machine itself, asked for by a name that means this machine. */
public final class Loopback {

    private static final Set<String> NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    private Loopback() {}

    /**
     * The address must be loopback, nothing may have been forwarded, and the host named must be this machine's, or a page
     * elsewhere could point a name of its own at us.
     */
    public static boolean is(HttpServletRequest request) {
        if (request.getHeader("X-Forwarded-For") != null || request.getHeader("Forwarded") != null) {
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
