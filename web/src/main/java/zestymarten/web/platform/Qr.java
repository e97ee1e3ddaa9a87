package zestymarten.web.platform;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.Map;
import javax.imageio.ImageIO;

/** A QR code of an address, to be drawn or printed. Modules are counted from the top left, without the quiet zone. */
public record Qr(BitMatrix modules) {
    private static final int PIXELS = 6;

    public static Qr of(String address) {
        try {
            return new Qr(
                    new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, 0)));
        } catch (WriterException e) {
            throw new IllegalArgumentException("'" + address + "' is too long for a QR code.", e);
        }
    }

    public int size() {
        return modules.getWidth();
    }

    /** One path over all dark modules, a unit each. */
    public String path() {
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < size(); y++) {
            for (int x = 0; x < size(); x++) {
                if (modules.get(x, y)) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return path.toString();
    }

    /** The same as a picture that a page can carry in itself. */
    public String dataUri() {
        int side = size() * PIXELS;
        BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_GRAY);
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                image.setRGB(x, y, modules.get(x / PIXELS, y / PIXELS) ? 0 : 0xffffff);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException("The QR code could not be drawn.", e);
        }
        return "data:image/png;base64," + Base64.getEncoder().encodeToString(out.toByteArray());
    }
}
