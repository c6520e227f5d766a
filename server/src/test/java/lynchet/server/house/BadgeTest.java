package lynchet.server.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import javax.imageio.ImageIO;
import lynchet.server.keep.Refusal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** Whatever is sent as a badge, only a small picture drawn from it is kept. */
@Execution(ExecutionMode.CONCURRENT)
class BadgeTest {

    private static byte[] picture(int width, int height, String kind, boolean noisy) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Random random = new Random(3);
        for (int x = 0; noisy && x < width; x++) {
            for (int y = 0; y < height; y++) {
                image.setRGB(x, y, random.nextInt());
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, kind, out);
        return out.toByteArray();
    }

    @Test
    void aPictureIsDrawnAgainSmallWithItsShape() throws IOException {
        for (String kind : new String[] {"png", "jpg", "gif"}) {
            BufferedImage kept = ImageIO.read(new ByteArrayInputStream(Badge.drawn(picture(1000, 500, kind, false))));
            assertThat(kept.getWidth()).as(kind).isEqualTo(256);
            assertThat(kept.getHeight()).as(kind).isEqualTo(128);
        }
        BufferedImage tiny = ImageIO.read(new ByteArrayInputStream(Badge.drawn(picture(40, 30, "png", true))));
        assertThat(tiny.getWidth()).as("never larger than it was").isEqualTo(40);
    }

    @Test
    void nothingThatWasHiddenBehindThePictureIsKept() throws IOException {
        byte[] picture = picture(20, 20, "png", false);
        byte[] tail = "<script>steal()</script>".getBytes(StandardCharsets.UTF_8);
        byte[] both = java.util.Arrays.copyOf(picture, picture.length + tail.length);
        System.arraycopy(tail, 0, both, picture.length, tail.length);
        assertThat(new String(Badge.drawn(both), StandardCharsets.ISO_8859_1)).doesNotContain("script");
    }

    @Test
    void whatIsNoPictureOrTooLargeIsRefused() throws IOException {
        refused("not a picture".getBytes(StandardCharsets.UTF_8), "NOT_A_PICTURE");
        refused(java.util.Arrays.copyOf(picture(20, 20, "png", true), 40), "NOT_A_PICTURE");
        refused(new byte[0], "TOO_LARGE");
        refused(null, "TOO_LARGE");
        refused(picture(400, 400, "png", true), "TOO_LARGE");
        refused(picture(5000, 1, "png", false), "TOO_LARGE");
    }

    private static void refused(byte[] sent, String code) {
        assertThatThrownBy(() -> Badge.drawn(sent))
                .isInstanceOfSatisfying(
                        Refusal.class, refusal -> assertThat(refusal.code()).isEqualTo(code));
    }
}
