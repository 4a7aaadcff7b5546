package dobbin.gather;

import dobbin.still.FileKind;
import java.nio.charset.StandardCharsets;

/** Tells files that hold an animation of which only the first picture is read. */
final class Animations {
    private static final int PNG_SIGNATURE = 8;
    private static final int RIFF_HEADER = 12;
    private static final int WEBP_FLAGS = 20;
    private static final int WEBP_ANIMATED = 0x02;

    private Animations() {}

    static boolean isOneOf(byte[] file) {
        return switch (FileKind.of(file)) {
            case PNG -> isAnimatedPng(file);
            case WEBP -> isAnimatedWebp(file);
            default -> false;
        };
    }

    /** Chunks of length (4 bytes), type (4), data, checksum (4): an {@code acTL} before the first {@code IDAT}. */
    private static boolean isAnimatedPng(byte[] file) {
        long at = PNG_SIGNATURE;
        while (at + 8 <= file.length) {
            String type = new String(file, (int) at + 4, 4, StandardCharsets.ISO_8859_1);
            if (type.equals("acTL")) {
                return true;
            }
            if (type.equals("IDAT")) {
                return false;
            }
            at += 12 + (length(file, (int) at) & 0xFFFFFFFFL);
        }
        return false;
    }

    /** An extended file begins with a {@code VP8X} chunk, whose flags tell (bit 1). */
    private static boolean isAnimatedWebp(byte[] file) {
        return file.length > WEBP_FLAGS
                && new String(file, RIFF_HEADER, 4, StandardCharsets.ISO_8859_1).equals("VP8X")
                && (file[WEBP_FLAGS] & WEBP_ANIMATED) != 0;
    }

    private static int length(byte[] file, int at) {
        return (file[at] & 0xFF) << 24 | (file[at + 1] & 0xFF) << 16 | (file[at + 2] & 0xFF) << 8 | file[at + 3] & 0xFF;
    }
}
