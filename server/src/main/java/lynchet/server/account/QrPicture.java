package lynchet.server.account;

import io.nayuki.qrcodegen.QrCode;

/**
 * A text as a code for a camera.
 *
 * @param path its dark squares as an SVG path of unit squares
 * @param side squares on a side, the white rim included
 */
public record QrPicture(String path, int side) {

    /** A reader wants so much white around a code. */
    private static final int RIM = 4;

    public static QrPicture of(String text) {
        QrCode code = QrCode.encodeText(text, QrCode.Ecc.MEDIUM);
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < code.size; y++) {
            for (int x = 0; x < code.size; x++) {
                if (code.getModule(x, y)) {
                    path.append("M").append(x + RIM).append(' ').append(y + RIM).append("h1v1h-1z");
                }
            }
        }
        return new QrPicture(path.toString(), code.size + 2 * RIM);
    }
}
