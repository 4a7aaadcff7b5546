package dobbin.still;

/**
 * Tells a JPEG that breaks off: decoders fill the rest with gray and only warn, which would put a half-gray frame into
 * a loop.
 */
final class JpegEnd {
    private static final int START_OF_SCAN = 0xDA;
    private static final int END_OF_IMAGE = 0xD9;

    private JpegEnd() {}

    /** @return whether no end-of-image marker follows the first scan's start (ITU-T T.81, annex B) */
    static boolean isMissing(byte[] file) {
        int at = firstScan(file);
        if (at < 0) {
            return true;
        }
        for (; at + 1 < file.length; at++) {
            if ((file[at] & 0xFF) == 0xFF && (file[at + 1] & 0xFF) == END_OF_IMAGE) {
                return false;
            }
        }
        return true;
    }

    /** Walks marker segments (0xFF, marker, 2 bytes of length that count themselves): an EXIF thumbnail ends inside one. */
    private static int firstScan(byte[] file) {
        int at = 2;
        while (at + 3 < file.length && (file[at] & 0xFF) == 0xFF) {
            int marker = file[at + 1] & 0xFF;
            if (marker == 0xFF) {
                at++;
                continue;
            }
            if (marker == START_OF_SCAN) {
                return at;
            }
            at += 2 + ((file[at + 2] & 0xFF) << 8 | file[at + 3] & 0xFF);
        }
        return -1;
    }
}
