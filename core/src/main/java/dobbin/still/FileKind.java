package dobbin.still;

import java.nio.charset.StandardCharsets;

/** What a picture file is by its first bytes, whatever its name says. */
public enum FileKind {
    JPEG("image/jpeg", "jpg", "jpeg", "jpe", "jfif"),
    PNG("image/png", "png"),
    GIF("image/gif", "gif"),
    WEBP("image/webp", "webp"),
    BMP("image/bmp", "bmp"),
    TIFF("image/tiff", "tif", "tiff"),
    SVG("image/svg+xml", "svg"),
    OTHER("application/octet-stream");

    private static final int HEAD = 4_096;

    private final String mediaType;
    private final String[] endings;

    FileKind(String mediaType, String... endings) {
        this.mediaType = mediaType;
        this.endings = endings;
    }

    public String mediaType() {
        return mediaType;
    }

    /** @return what the names of such files usually end in, without the dot */
    public String ending() {
        return endings.length == 0 ? "bin" : endings[0];
    }

    /** @param bytes the file, or at least its first 12 bytes */
    public static FileKind of(byte[] bytes) {
        if (startsWith(bytes, 0, 0xFF, 0xD8, 0xFF)) {
            return JPEG;
        }
        if (startsWith(bytes, 0, 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n')) {
            return PNG;
        }
        if (startsWith(bytes, 0, 'G', 'I', 'F', '8')) {
            return GIF;
        }
        if (startsWith(bytes, 0, 'R', 'I', 'F', 'F') && startsWith(bytes, 8, 'W', 'E', 'B', 'P')) {
            return WEBP;
        }
        if (startsWith(bytes, 0, 'I', 'I', '*', 0) || startsWith(bytes, 0, 'M', 'M', 0, '*')) {
            return TIFF;
        }
        if (startsWith(bytes, 0, 'B', 'M')) {
            return BMP;
        }
        return isSvg(bytes) ? SVG : OTHER;
    }

    /** A text in XML has its first element after a declaration, a type and comments. */
    private static boolean isSvg(byte[] bytes) {
        String head = new String(bytes, 0, Math.min(bytes.length, HEAD), StandardCharsets.UTF_8).stripLeading();
        String text = head.startsWith("\uFEFF") ? head.substring(1).stripLeading() : head;
        return text.startsWith("<") && text.contains("<svg");
    }

    /** @return what the ending of {@code name} promises, {@link #OTHER} where it promises no picture */
    public static FileKind promisedBy(String name) {
        String ending = name.substring(name.lastIndexOf('.') + 1);
        for (FileKind kind : values()) {
            for (String known : kind.endings) {
                if (known.equalsIgnoreCase(ending)) {
                    return kind;
                }
            }
        }
        return OTHER;
    }

    private static boolean startsWith(byte[] bytes, int offset, int... signature) {
        if (bytes.length < offset + signature.length) {
            return false;
        }
        for (int i = 0; i < signature.length; i++) {
            if ((bytes[offset + i] & 0xFF) != signature[i]) {
                return false;
            }
        }
        return true;
    }
}
