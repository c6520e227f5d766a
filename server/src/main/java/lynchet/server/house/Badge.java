package lynchet.server.house;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import lynchet.server.keep.Refusal;

/** A badge as it is kept: drawn again from what was sent, so that nothing but the picture of it stays. */
final class Badge {

    /** What is sent may be this long. */
    static final int MOST_BYTES = 100 * 1024;

    private static final int MOST_SENT = 4000;
    private static final int MOST_KEPT = 256;

    private Badge() {}

    /**
     * Draws it again, at most {@value #MOST_KEPT} dots wide and high.
     *
     * @return a PNG
     * @throws Refusal 422 if it is too large or no picture
     */
    static byte[] drawn(byte[] sent) {
        if (sent == null || sent.length == 0 || sent.length > MOST_BYTES) {
            throw Refusal.bad("TOO_LARGE", "/badge", "A badge is a picture of at most 100 kB.");
        }
        try {
            BufferedImage picture = read(sent);
            double scale = Math.min(1, (double) MOST_KEPT / Math.max(picture.getWidth(), picture.getHeight()));
            int width = Math.max(1, (int) Math.round(picture.getWidth() * scale));
            int height = Math.max(1, (int) Math.round(picture.getHeight() * scale));
            BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
            Graphics2D pen = small.createGraphics();
            pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
            pen.drawImage(picture, 0, 0, width, height, null);
            pen.dispose();
            ByteArrayOutputStream png = new ByteArrayOutputStream();
            ImageIO.write(small, "png", png);
            return png.toByteArray();
        } catch (IOException | RuntimeException e) {
            if (e instanceof Refusal refusal) {
                throw refusal;
            }
            throw noPicture();
        }
    }

    /** Its size is read before it is: a small file may unfold into a very large picture. */
    private static BufferedImage read(byte[] sent) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw noPicture();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                if (reader.getWidth(0) > MOST_SENT || reader.getHeight(0) > MOST_SENT) {
                    throw Refusal.bad(
                            "TOO_LARGE", "/badge", "A badge is at most " + MOST_SENT + " dots wide and high.");
                }
                return reader.read(0);
            } finally {
                reader.dispose();
            }
        }
    }

    private static Refusal noPicture() {
        return Refusal.bad("NOT_A_PICTURE", "/badge", "This is no picture that can be read; take a PNG or JPEG.");
    }
}
