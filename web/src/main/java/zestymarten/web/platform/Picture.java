package zestymarten.web.platform;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import net.coobird.thumbnailator.util.exif.Orientation;
import org.jspecify.annotations.Nullable;

/**
 * A photograph as it is kept: decoded and encoded anew, so that nothing else than the picture is in it (no place, no
 * camera, no second file behind it), upright, at most {@value #SIDE} pixels wide and high.
 */
public final class Picture {
    private static final int SIDE = 2000;
    private static final long MAX_PIXELS = 60_000_000;
    private static final double QUALITY = 0.85;
    private static final String JPEG = "jpeg";
    private static final Set<String> FORMATS = Set.of(JPEG, "png");

    private Picture() {}

    /** The picture as a JPEG; empty if the file is no JPEG or PNG, is cut off, or has more than 60 megapixels. */
    public static Optional<byte[]> of(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return Optional.empty();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in);
                boolean known = FORMATS.contains(format(reader));
                long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
                return known && pixels <= MAX_PIXELS ? Optional.of(encoded(reader)) : Optional.empty();
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) { // what decoders throw at a broken file is not of one kind
            return Optional.empty();
        }
    }

    private static String format(ImageReader reader) throws IOException {
        return reader.getFormatName().toLowerCase(Locale.ROOT);
    }

    /** How the camera was held, which only a JPEG says; nothing where what it says cannot be read. */
    private static @Nullable Orientation orientation(ImageReader reader) throws IOException {
        if (!format(reader).equals(JPEG)) {
            return null;
        }
        try {
            return ExifUtils.getExifOrientation(reader, 0);
        } catch (IOException e) {
            return null; // the picture may still be whole
        }
    }

    private static byte[] encoded(ImageReader reader) throws IOException {
        ImageReadParam param = reader.getDefaultReadParam();
        int larger = Math.max(reader.getWidth(0), reader.getHeight(0));
        int step = Math.max(1, larger / (2 * SIDE)); // never more than four times the pixels that are kept
        param.setSourceSubsampling(step, step, 0, 0);
        Orientation orientation = orientation(reader);
        BufferedImage read = reader.read(0, param);
        BufferedImage upright = orientation == null
                ? read
                : ExifFilterUtils.getFilterForOrientation(orientation).apply(read);
        double scale = Math.min(1, (double) SIDE / Math.max(upright.getWidth(), upright.getHeight()));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(upright)
                .scale(scale)
                .imageType(BufferedImage.TYPE_INT_RGB)
                .outputFormat("jpg")
                .outputQuality(QUALITY)
                .toOutputStream(out);
        return out.toByteArray();
    }
}
