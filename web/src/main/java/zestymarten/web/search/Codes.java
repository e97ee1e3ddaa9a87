package zestymarten.web.search;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.springframework.web.util.UriComponentsBuilder;
import zestymarten.web.platform.Destination;
import zestymarten.web.platform.Picture;

/** Codes on labels, read off pictures, and where they lead. */
final class Codes {
    private static final int LONGEST = 300;
    private static final List<BarcodeFormat> FORMATS = List.of(BarcodeFormat.QR_CODE, BarcodeFormat.CODE_128);

    private Codes() {}

    /** The text of a QR code or a Code 128 on a picture; empty where none can be read, or the file is no picture. */
    static Optional<String> read(byte[] file) {
        return Picture.of(file).flatMap(Codes::decoded);
    }

    private static Optional<String> decoded(byte[] jpeg) {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(jpeg));
            int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
            var source = new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels);
            return Optional.of(new MultiFormatReader()
                    .decode(
                            new BinaryBitmap(new HybridBinarizer(source)),
                            Map.of(DecodeHintType.POSSIBLE_FORMATS, FORMATS, DecodeHintType.TRY_HARDER, true))
                    .getText());
        } catch (NotFoundException | IOException e) {
            return Optional.empty();
        }
    }

    /**
     * Where a code leads: an address of this installation to its page, any other text to the search for it; empty for the address
     * of another site, which is never followed.
     *
     * @param hosts under which this installation is reached
     */
    static Optional<String> destination(String code, List<String> hosts) {
        String text = code.strip();
        if (!text.matches("(?i)https?://.*")) {
            return Optional.of(UriComponentsBuilder.fromPath("/search")
                    .queryParam("q", "{q}")
                    .encode()
                    .buildAndExpand(text.length() > LONGEST ? text.substring(0, LONGEST) : text)
                    .toUriString());
        }
        try {
            URI address = URI.create(text);
            boolean ours = address.getAuthority() != null && hosts.contains(address.getAuthority());
            return ours ? Optional.of(Destination.of(address.getRawPath())) : Optional.empty();
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
