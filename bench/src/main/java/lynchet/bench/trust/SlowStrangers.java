package lynchet.bench.trust;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import lynchet.bench.club.Server;

/** Three hundred strangers who announce a body and send a byte of it; when one is sent away another one comes. */
final class SlowStrangers {

    private static final int STRANGERS = 300;
    private static final int SECONDS = 20;

    private SlowStrangers() {}

    static void run(TrustBench.Ground ground) throws Exception {
        try (Server server = ground.demo("strangers")) {
            Caller head = Caller.in(server.address, "head", "saltmarsh");
            head.get("/api/people/names");
            List<Socket> slow = new ArrayList<>();
            for (int n = 0; n < STRANGERS; n++) {
                slow.add(begin(server.address, n));
            }
            long longest = 0;
            long until = System.nanoTime() + SECONDS * 1_000_000_000L;
            int reads = 0;
            for (int n = 0; System.nanoTime() < until; n++) {
                int at = n % STRANGERS;
                slow.get(at).close();
                slow.set(at, begin(server.address, n));
                if (n % 10 == 0) {
                    long from = System.nanoTime();
                    int status = head.get("/api/people/names").status();
                    longest = Math.max(longest, System.nanoTime() - from);
                    reads++;
                    if (status != 200) {
                        throw new IllegalStateException("a read answers " + status);
                    }
                }
            }
            TrustBench.say(
                    "%d slow strangers, %d reads of a signed-in coach: the longest %.0f ms",
                    STRANGERS, reads, longest / 1e6);
            for (Socket one : slow) {
                one.close();
            }
        }
    }

    /** Every second one by the sign-in, the others by a path that is not theirs. */
    private static Socket begin(String address, int n) throws IOException {
        URI at = URI.create(address);
        Socket socket = new Socket(at.getHost(), at.getPort());
        String path = n % 2 == 0 ? "/api/session" : "/api/people";
        String head = "POST " + path + " HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n"
                + "Cookie: XSRF-TOKEN=abc\r\nX-XSRF-TOKEN: abc\r\nContent-Length: 8000\r\n\r\n{";
        socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
        return socket;
    }
}
