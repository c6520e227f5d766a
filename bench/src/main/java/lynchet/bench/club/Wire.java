package lynchet.bench.club;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/**
 * One connection on which records are posted one after the other. It does no more than the wire needs, since it runs on the
 * two cores that it measures: the JDK's own clients took a third of them.
 */
final class Wire implements AutoCloseable {

    private final URI at;
    private final String head;
    private Socket socket;
    private InputStream in;

    /**
     * @param base the server's address, such as {@code http://127.0.0.1:8080}
     * @param cookies as a browser sends them back
     * @param token the one that a writing browser repeats
     */
    Wire(String base, String cookies, String token) {
        at = URI.create(base);
        head = " HTTP/1.1\r\nHost: " + at.getAuthority() + "\r\nCookie: " + cookies + "\r\nX-XSRF-TOKEN: " + token
                + "\r\nContent-Type: application/json\r\nContent-Length: ";
    }

    /** The server ends a connection after so many requests and says so. */
    private void connect() throws IOException {
        if (socket == null || socket.isClosed()) {
            socket = new Socket(at.getHost(), at.getPort());
            socket.setTcpNoDelay(true);
            in = new BufferedInputStream(socket.getInputStream());
        }
    }

    /** Sends one and waits for its whole answer; anything but a yes is an {@link IllegalStateException}. */
    void post(String path, String body) {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        byte[] start = ("POST " + path + head + bytes.length + "\r\n\r\n").getBytes(StandardCharsets.ISO_8859_1);
        byte[] all = new byte[start.length + bytes.length];
        System.arraycopy(start, 0, all, 0, start.length);
        System.arraycopy(bytes, 0, all, start.length, bytes.length);
        try {
            connect();
            socket.getOutputStream().write(all);
            String status = line();
            Map<String, String> headers = headers();
            String answer = new String(body(headers), StandardCharsets.UTF_8);
            if ("close".equals(headers.get("connection"))) {
                socket.close();
            }
            if (!status.startsWith("HTTP/1.1 2")) {
                throw new IllegalStateException(path + " answers " + status + " " + answer);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Map<String, String> headers() throws IOException {
        Map<String, String> headers = new HashMap<>();
        for (String line = line(); !line.isEmpty(); line = line()) {
            int colon = line.indexOf(':');
            headers.put(
                    line.substring(0, colon).toLowerCase(Locale.ROOT),
                    line.substring(colon + 1).trim());
        }
        return headers;
    }

    private byte[] body(Map<String, String> headers) throws IOException {
        if (!"chunked".equals(headers.get("transfer-encoding"))) {
            return in.readNBytes(Integer.parseInt(headers.getOrDefault("content-length", "0")));
        }
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        int size;
        do {
            size = Integer.parseInt(line(), 16);
            whole.write(in.readNBytes(size));
            line();
        } while (size > 0);
        return whole.toByteArray();
    }

    private String line() throws IOException {
        StringBuilder line = new StringBuilder();
        int next = in.read();
        while (next != '\r') {
            if (next < 0) {
                throw new IOException("the server closed the connection");
            }
            line.append((char) next);
            next = in.read();
        }
        in.read();
        return line.toString();
    }

    @Override
    public void close() throws IOException {
        if (socket != null) {
            socket.close();
        }
    }
}
