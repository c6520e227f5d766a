package lynchet.server.door;

import io.nayuki.qrcodegen.QrCode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import lynchet.server.account.QrPicture;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Service;

/** How a tablet comes in: the address, and the authority that it installs once, as a code for its camera. */
@Service
public class Tablet {

    private final String authority;
    private final Environment environment;

    Tablet(@Value("${lynchet.authority}") String authority, Environment environment) {
        this.authority = authority;
        this.environment = environment;
    }

    /**
     * The way in.
     *
     * @param address where this server is reached by HTTPS; null: from this machine only
     * @param authority where the club's own authority is fetched; null: there is none, or none is needed
     * @param code dark squares of the code of that address as an SVG path of unit squares
     * @param side squares on a side, the white rim included
     */
    public record WayIn(
            @Nullable String address,
            @Nullable String authority,
            @Nullable String code,
            int side) {}

    public WayIn wayIn() {
        Optional<String> address = address();
        Optional<String> fetched =
                address.filter(a -> certificate().isPresent()).map(a -> a + "/authority.crt");
        Optional<QrPicture> code = fetched.or(() -> address).map(QrPicture::of);
        return new WayIn(
                address.orElse(null),
                fetched.orElse(null),
                code.map(QrPicture::path).orElse(null),
                code.map(QrPicture::side).orElse(0));
    }

    private Optional<String> address() {
        return Optional.ofNullable(environment.getProperty("lynchet.address"))
                .filter(address -> !address.isBlank())
                .map(address -> "https://" + address + ":" + environment.getProperty("local.server.port"));
    }

    /** The certificate of the club's own authority. It is no secret. */
    Optional<Path> certificate() {
        return Optional.of(authority).filter(a -> !a.isEmpty()).map(Path::of).filter(Files::isRegularFile);
    }

    /** The code for a console, dark on light, two squares to a character. */
    public static String drawn(String text) {
        QrCode code = QrCode.encodeText(text, QrCode.Ecc.MEDIUM);
        StringBuilder drawn = new StringBuilder();
        for (int y = -2; y < code.size + 2; y += 2) {
            for (int x = -2; x < code.size + 2; x++) {
                boolean up = code.getModule(x, y);
                boolean down = code.getModule(x, y + 1);
                drawn.append(up ? (down ? ' ' : '\u2584') : down ? '\u2580' : '\u2588');
            }
            drawn.append('\n');
        }
        return drawn.toString();
    }
}
