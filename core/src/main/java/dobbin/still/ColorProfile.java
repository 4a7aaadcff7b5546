package dobbin.still;

import dobbin.raster.Raster;
import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.ColorConvertOp;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.zip.InflaterInputStream;

/**
 * The color profile in a PNG or WebP file (ICC.1), whose readers leave the samples as they are. Those of JPEG and TIFF apply
 * theirs themselves.
 */
final class ColorProfile {
    private static final int MOST_BYTES = 4_000_000;
    private static final int CHANNELS = 3;
    private static final int PNG_SIGNATURE = 8;
    private static final int RIFF_HEADER = 12;

    private final ICC_Profile profile;

    private ColorProfile(ICC_Profile profile) {
        this.profile = profile;
    }

    /** @return a profile of colors of red, green and blue; nothing where there is none, or one that cannot be used */
    static Optional<ColorProfile> of(byte[] file, FileKind kind) {
        try {
            byte[] bytes = kind == FileKind.PNG ? ofPng(file) : kind == FileKind.WEBP ? ofWebp(file) : null;
            if (bytes == null) {
                return Optional.empty();
            }
            ICC_Profile profile = ICC_Profile.getInstance(bytes);
            return profile.getColorSpaceType() == ColorSpace.TYPE_RGB
                    ? Optional.of(new ColorProfile(profile))
                    : Optional.empty();
        } catch (IOException | IllegalArgumentException e) {
            // Browsers show a picture with a broken profile as if it had none, too.
            return Optional.empty();
        }
    }

    /** @return the picture with its colors in sRGB */
    Raster toSrgb(Raster picture) {
        int[] argb = picture.argb();
        WritableRaster samples = java.awt.image.Raster.createInterleavedRaster(
                DataBuffer.TYPE_BYTE, picture.width(), picture.height(), CHANNELS, null);
        byte[] bytes = ((DataBufferByte) samples.getDataBuffer()).getData();
        for (int i = 0; i < argb.length; i++) {
            bytes[CHANNELS * i] = (byte) (argb[i] >> 16);
            bytes[CHANNELS * i + 1] = (byte) (argb[i] >> 8);
            bytes[CHANNELS * i + 2] = (byte) argb[i];
        }
        ICC_Profile[] way = {profile, ICC_Profile.getInstance(ColorSpace.CS_sRGB)};
        try {
            new ColorConvertOp(way, null).filter(samples, samples);
        } catch (CMMException | IllegalArgumentException e) {
            return picture;
        }
        int[] converted = new int[argb.length];
        for (int i = 0; i < argb.length; i++) {
            converted[i] = argb[i] & 0xFF000000
                    | (bytes[CHANNELS * i] & 0xFF) << 16
                    | (bytes[CHANNELS * i + 1] & 0xFF) << 8
                    | bytes[CHANNELS * i + 2] & 0xFF;
        }
        return Raster.of(picture.size(), converted);
    }

    /** An {@code iCCP} chunk before the picture: a name that ends with 0, a 0 for deflate, the profile deflated. */
    private static byte[] ofPng(byte[] file) throws IOException {
        for (int at = PNG_SIGNATURE; at + 8 <= file.length; ) {
            String type = text(file, at + 4);
            long length = number(file, at, false);
            if (type.equals("IDAT") || length > file.length - at - 8) {
                return null;
            }
            if (type.equals("iCCP")) {
                int start = at + 8;
                int end = start + (int) length;
                int name = start;
                while (name < end && file[name] != 0) {
                    name++;
                }
                return name + 2 < end ? inflated(Arrays.copyOfRange(file, name + 2, end)) : null;
            }
            at += 12 + (int) length;
        }
        return null;
    }

    private static byte[] inflated(byte[] data) throws IOException {
        try (InflaterInputStream in = new InflaterInputStream(new ByteArrayInputStream(data))) {
            return in.readNBytes(MOST_BYTES);
        }
    }

    /** An {@code ICCP} chunk: type, length (4 bytes, the lowest first), data, and a byte more where the length is odd. */
    private static byte[] ofWebp(byte[] file) {
        for (int at = RIFF_HEADER; at + 8 <= file.length; ) {
            long length = number(file, at + 4, true);
            if (length > file.length - at - 8) {
                return null;
            }
            if (text(file, at).equals("ICCP")) {
                return Arrays.copyOfRange(file, at + 8, at + 8 + (int) length);
            }
            at += 8 + (int) (length + (length & 1));
        }
        return null;
    }

    private static String text(byte[] file, int at) {
        return new String(file, at, 4, StandardCharsets.ISO_8859_1);
    }

    private static long number(byte[] file, int at, boolean lowestFirst) {
        long number = 0;
        for (int i = 0; i < 4; i++) {
            number = number << 8 | file[lowestFirst ? at + 3 - i : at + i] & 0xFF;
        }
        return number;
    }
}
