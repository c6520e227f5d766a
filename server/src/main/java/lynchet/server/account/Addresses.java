package lynchet.server.account;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.HexFormat;

/** What counts as one place on the network. */
final class Addresses {

    private static final int NETWORK_BYTES = 8;
    private static final int NEW_KIND = 16;

    private Addresses() {}

    /** An address of the old kind as it is; of the new kind its network, since a house has as many of those as it likes. */
    static String counted(String address) {
        try {
            byte[] bytes = InetAddress.getByName(address).getAddress();
            return bytes.length == NEW_KIND ? HexFormat.of().formatHex(Arrays.copyOf(bytes, NETWORK_BYTES)) : address;
        } catch (UnknownHostException e) {
            return address;
        }
    }
}
