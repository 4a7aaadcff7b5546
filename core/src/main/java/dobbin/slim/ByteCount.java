package dobbin.slim;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbers of bytes as people write them: 1 KB is 1,000 bytes, 1 MB a million. */
public final class ByteCount {
    private static final Pattern WRITTEN =
            Pattern.compile("(\\d{1,9}(?:\\.\\d{1,6})?)\\s*(B|KB|MB|)", Pattern.CASE_INSENSITIVE);
    private static final int KILO = 1_000;
    private static final int MEGA = 1_000_000;

    private ByteCount() {}

    /**
     * @param text "500 KB", "2MB", "1.5 MB"; a number alone is of bytes
     * @return bytes, rounded; -1 where that is no number of bytes, or more than two billion
     */
    public static int parse(String text) {
        Matcher written = WRITTEN.matcher(text.strip());
        if (!written.matches()) {
            return -1;
        }
        int unit = switch (written.group(2).toUpperCase(Locale.ROOT)) {
            case "KB" -> KILO;
            case "MB" -> MEGA;
            default -> 1;
        };
        double bytes = Double.parseDouble(written.group(1)) * unit;
        return bytes > Integer.MAX_VALUE ? -1 : (int) Math.round(bytes);
    }

    /** @return "498 KB", "2.1 MB", "640 B" */
    public static String text(int bytes) {
        if (bytes < KILO) {
            return bytes + " B";
        }
        if (bytes < MEGA) {
            return Math.round((double) bytes / KILO) + " KB";
        }
        return String.format(Locale.ROOT, "%.1f MB", (double) bytes / MEGA);
    }
}
