package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** A photograph as it is kept. */
class PictureTest {
    /** Left half red, right half blue. */
    private static byte[] photograph(int width, int height, String format) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D paint = image.createGraphics();
        paint.setColor(Color.RED);
        paint.fillRect(0, 0, width / 2, height);
        paint.setColor(Color.BLUE);
        paint.fillRect(width / 2, 0, width - width / 2, height);
        paint.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    private static BufferedImage kept(byte[] file) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(Picture.of(file).orElseThrow()));
    }

    /** With an EXIF segment that says how the camera was held. */
    private static byte[] held(byte[] jpeg, int orientation) throws IOException {
        byte[] exif = {
            (byte) 0xff,
            (byte) 0xe1,
            0,
            34,
            'E',
            'x',
            'i',
            'f',
            0,
            0,
            'M',
            'M',
            0,
            42,
            0,
            0,
            0,
            8,
            0,
            1,
            1,
            18,
            0,
            3,
            0,
            0,
            0,
            1,
            0,
            (byte) orientation,
            0,
            0,
            0,
            0,
            0,
            0
        };
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int first = 4 + ((jpeg[4] & 0xff) << 8) + (jpeg[5] & 0xff); // behind the segment that says that it is a JPEG
        out.write(jpeg, 0, first);
        out.write(exif);
        out.write(jpeg, first, jpeg.length - first);
        return out.toByteArray();
    }

    @Test
    void aSmallOneKeepsItsSizeAndALargeOneIsMadeSmaller() throws IOException {
        assertThat(kept(photograph(640, 480, "png")).getWidth()).isEqualTo(640);
        BufferedImage large = kept(photograph(6000, 4000, "jpg"));
        assertThat(large.getWidth()).isEqualTo(2000);
        assertThat(large.getHeight()).isBetween(1330, 1336);
    }

    @Test
    void itStandsUprightAsTheCameraWasHeld() throws IOException {
        BufferedImage turned = kept(held(photograph(400, 200, "jpg"), 6));
        assertThat(turned.getWidth()).isEqualTo(200);
        assertThat(turned.getHeight()).isEqualTo(400);
        assertThat(new Color(turned.getRGB(100, 50)).getRed())
                .as("left has become top")
                .isGreaterThan(180);
        assertThat(new Color(turned.getRGB(100, 350)).getBlue()).isGreaterThan(180);
    }

    @Test
    void whatTheCameraWroteIntoItIsGone() throws IOException {
        byte[] kept = Picture.of(held(photograph(400, 200, "jpg"), 1)).orElseThrow();
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("Exif");
    }

    @Test
    void whatIsNoWholePictureIsNotTaken() throws IOException {
        byte[] whole = photograph(400, 200, "png");
        assertThat(Picture.of(new byte[0])).isEmpty();
        assertThat(Picture.of("GIF89a and more".getBytes(StandardCharsets.US_ASCII)))
                .isEmpty();
        assertThat(Picture.of(Arrays.copyOf(whole, whole.length / 2))).isEmpty();
        assertThat(Picture.of(photograph(40, 20, "gif"))).isEmpty();
    }
}
