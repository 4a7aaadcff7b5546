package dobbin.palette;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Palettes as text: one CSS color a line, as {@code #b23a2e}, {@code #b32} or {@code rgb(178, 58, 46)} (CSS Color Module
 * Level 4). Empty lines count for nothing.
 */
public final class PaletteText {
    private static final Pattern LONG = Pattern.compile("#?([0-9a-f]{6})");
    private static final Pattern SHORT = Pattern.compile("#?([0-9a-f])([0-9a-f])([0-9a-f])");
    private static final Pattern RGB =
            Pattern.compile("rgba?\\(\\s*(\\d{1,3})\\s*[, ]\\s*(\\d{1,3})\\s*[, ]\\s*(\\d{1,3})\\s*\\)");

    private PaletteText() {}

    /** The text is no palette: says which line and why. */
    public static final class NoPalette extends IllegalArgumentException {
        public NoPalette(String message) {
            super(message);
        }
    }

    /**
     * @return the colors, 0xRRGGBB, in their order
     * @throws NoPalette where a line is no color, or there are none or more than {@link Palette#MAX_ENTRIES}
     */
    public static List<Integer> read(String text) {
        String[] lines = text.split("\\R", -1);
        List<Integer> colors = java.util.stream.IntStream.range(0, lines.length)
                .filter(i -> !lines[i].isBlank())
                .mapToObj(i -> color(lines[i].strip(), i + 1))
                .toList();
        return checked(colors);
    }

    /** @return one {@code #rrggbb} a line */
    public static String write(int[] colors) {
        return Arrays.stream(colors)
                .mapToObj(color -> String.format(Locale.ROOT, "#%06x%n", color & 0xFFFFFF))
                .collect(Collectors.joining())
                .replace(System.lineSeparator(), "\n");
    }

    /** @throws NoPalette where there are none or more than {@link Palette#MAX_ENTRIES} */
    public static List<Integer> checked(List<Integer> colors) {
        List<Integer> distinct = colors.stream().distinct().toList();
        if (distinct.isEmpty() || distinct.size() > Palette.MAX_ENTRIES) {
            throw new NoPalette(
                    distinct.isEmpty()
                            ? "holds no color"
                            : "holds " + distinct.size() + " colors; a palette has at most " + Palette.MAX_ENTRIES);
        }
        return distinct;
    }

    private static int color(String line, int number) {
        String code = line.toLowerCase(Locale.ROOT);
        Matcher whole = LONG.matcher(code);
        if (whole.matches()) {
            return Integer.parseInt(whole.group(1), 16);
        }
        Matcher digits = SHORT.matcher(code);
        if (digits.matches()) {
            return 0x11
                    * (Integer.parseInt(digits.group(1), 16) << 16
                            | Integer.parseInt(digits.group(2), 16) << 8
                            | Integer.parseInt(digits.group(3), 16));
        }
        Matcher channels = RGB.matcher(code);
        if (channels.matches()) {
            int rgb = 0;
            for (int channel = 1; channel <= 3; channel++) {
                rgb = rgb << 8 | within(Integer.parseInt(channels.group(channel)), number);
            }
            return rgb;
        }
        String shown = line.length() > 30 ? line.substring(0, 30) + "…" : line;
        throw new NoPalette("has no color in line " + number + ": “" + shown + "”. Write one color a line, as #b23a2e");
    }

    private static int within(int channel, int line) {
        if (channel > 255) {
            throw new NoPalette("has a channel of " + channel + " in line " + line + "; 255 is the most");
        }
        return channel;
    }
}
