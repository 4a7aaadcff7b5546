package dobbin.server.web;

import jakarta.servlet.ServletRequest;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.HexFormat;

/** Where a request comes from, as far as limits are concerned. */
public final class ClientAddress {
    private static final int NETWORK_BYTES = 8;

    private ClientAddress() {}

    /**
     * @return the address; of IPv6 the network of 64 bits it is in, since whoever has one address there has all of them (RFC 4291,
     *     section 2.5.4)
     */
    public static String of(ServletRequest request) {
        return of(String.valueOf(request.getRemoteAddr()));
    }

    static String of(String address) {
        if (address.indexOf(':') < 0) {
            return address;
        }
        try {
            String withoutScope = address.split("%", 2)[0];
            return InetAddress.getByName(withoutScope) instanceof Inet6Address inSix
                    ? HexFormat.of().formatHex(inSix.getAddress(), 0, NETWORK_BYTES) + "/64"
                    : address;
        } catch (UnknownHostException e) {
            return address;
        }
    }
}
