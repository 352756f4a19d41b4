package org.zeststack.web.start;

import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Where a server that listens is really reached. */
final class Addresses {

    private Addresses() {}

    /** The address as one types it; of a server that listens everywhere, every address of this machine. */
    static String of(String bind, String port) {
        try {
            InetAddress address = InetAddress.getByName(bind);
            List<InetAddress> all = address.isAnyLocalAddress() ? everyOne() : List.of(address);
            return all.stream().map(a -> "http://" + host(a) + ":" + port + "/").collect(Collectors.joining("  and  "));
        } catch (UnknownHostException | SocketException e) {
            return "http://" + bind + ":" + port + "/";
        }
    }

    private static List<InetAddress> everyOne() throws SocketException {
        Stream<InetAddress> others = NetworkInterface.networkInterfaces()
                .flatMap(NetworkInterface::inetAddresses)
                .filter(a -> !a.isLoopbackAddress() && !a.isLinkLocalAddress());
        return Stream.concat(Stream.of(InetAddress.getLoopbackAddress()), others)
                .toList();
    }

    private static String host(InetAddress address) {
        String text = address.getHostAddress();
        return address instanceof Inet6Address ? "[" + text.replaceAll("%.*", "") + "]" : text;
    }
}
