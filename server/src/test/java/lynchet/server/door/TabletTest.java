package lynchet.server.door;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.util.UUID;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLException;
import javax.net.ssl.TrustManagerFactory;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.context.ConfigurableApplicationContext;

/** HTTPS with the authority that {@code ./lynchet run --address} makes, as a tablet meets it. */
@Execution(ExecutionMode.CONCURRENT)
class TabletTest {

    @TempDir
    Path data;

    private Path tls(String file) {
        return data.resolve("tls").resolve(file);
    }

    /** What the command does before it starts the server. */
    private void certify(String address) throws Exception {
        String script = "set -euo pipefail; fail() { echo \"$*\" >&2; exit 1; }; "
                + "source <(sed -n '/^certify() {/,/^}/p' ../lynchet); data=$1; address=$2; certify";
        Process process = new ProcessBuilder("bash", "-c", script, "certify", data.toString(), address)
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).as(said).isZero();
    }

    private HttpClient trusting() throws Exception {
        KeyStore known = KeyStore.getInstance(KeyStore.getDefaultType());
        known.load(null);
        try (InputStream in = Files.newInputStream(tls("authority.crt"))) {
            known.setCertificateEntry(
                    "authority", CertificateFactory.getInstance("X.509").generateCertificate(in));
        }
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(known);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        return HttpClient.newBuilder().sslContext(context).build();
    }

    private static HttpResponse<String> get(HttpClient client, String address) throws Exception {
        return client.send(HttpRequest.newBuilder(URI.create(address)).build(), HttpResponse.BodyHandlers.ofString());
    }

    @Test
    void aTabletThatTrustsTheAuthorityComesInAndNobodyListensIn() throws Exception {
        certify("127.0.0.1");
        try (ConfigurableApplicationContext club = RunningClub.start(
                "--server.port=0",
                "--server.address=127.0.0.1",
                "--lynchet.hosts=127.0.0.1",
                "--lynchet.authority=" + tls("authority.crt"),
                "--server.ssl.key-store=" + tls("server.p12"),
                "--server.ssl.key-alias=server",
                "--server.ssl.key-store-password=" + Files.readString(tls("password")),
                "--spring.datasource.url=jdbc:h2:mem:" + UUID.randomUUID() + ";DB_CLOSE_DELAY=-1")) {
            String at = "127.0.0.1:" + club.getEnvironment().getProperty("local.server.port");
            HttpClient tablet = trusting();
            HttpResponse<String> welcome = get(tablet, "https://" + at + "/api/session/welcome");
            assertThat(welcome.statusCode()).isEqualTo(200);
            assertThat(welcome.headers().allValues("Set-Cookie"))
                    .isNotEmpty()
                    .allMatch(cookie -> cookie.contains("Secure"));
            assertThat(get(tablet, "https://" + at + "/authority.crt").body())
                    .isEqualTo(Files.readString(tls("authority.crt")));
            assertThatThrownBy(() -> get(HttpClient.newHttpClient(), "https://" + at + "/"))
                    .as("who has not installed the authority is warned")
                    .isInstanceOf(SSLException.class);
            HttpResponse<String> plain = get(HttpClient.newHttpClient(), "http://" + at + "/");
            assertThat(plain.statusCode()).isEqualTo(400);
            assertThat(plain.body()).contains("requires TLS");
        }
    }

    @ParameterizedTest
    @CsvSource({"127.0.0.1, true", "127.0.0.9, false", "'', false"})
    void whatAProxyForwardsIsBelievedFromTheNamedOneOnly(String proxy, boolean isBelieved) throws Exception {
        try (ConfigurableApplicationContext club = RunningClub.start(
                "--server.port=0",
                "--lynchet.proxy=" + proxy,
                "--spring.datasource.url=jdbc:h2:mem:" + UUID.randomUUID() + ";DB_CLOSE_DELAY=-1")) {
            String at = "http://127.0.0.1:" + club.getEnvironment().getProperty("local.server.port");
            HttpResponse<String> answer = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(at + "/api/session/welcome"))
                                    .header("X-Forwarded-Proto", "https")
                                    .header("X-Forwarded-For", "192.0.2.7")
                                    .build(),
                            HttpResponse.BodyHandlers.ofString());
            assertThat(answer.headers().allValues("Set-Cookie"))
                    .isNotEmpty()
                    .allMatch(cookie -> cookie.contains("Secure") == isBelieved);
        }
    }

    @Test
    void anotherAddressGetsACertificateOfTheSameAuthority() throws Exception {
        certify("127.0.0.1");
        byte[] authority = Files.readAllBytes(tls("authority.crt"));
        byte[] first = Files.readAllBytes(tls("server.p12"));
        certify("127.0.0.1");
        assertThat(Files.readAllBytes(tls("server.p12"))).as("it holds still").isEqualTo(first);
        certify("barn.local");
        assertThat(Files.readAllBytes(tls("authority.crt"))).isEqualTo(authority);
        assertThat(Files.readAllBytes(tls("server.p12"))).isNotEqualTo(first);
        assertThat(Files.getPosixFilePermissions(tls("authority.p12")))
                .isEqualTo(java.nio.file.attribute.PosixFilePermissions.fromString("rw-------"));
    }
}
