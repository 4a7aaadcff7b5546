package dobbin.slim;

import dobbin.color.Oklab;
import dobbin.gif.EncodedFrame;
import dobbin.gif.Replay;
import dobbin.palette.Palette;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The colors of a delivered loop and how much of it each is. */
public final class Swatches {
    private static final int MOST_FRAMES = 8;

    private Swatches() {}

    /**
     * @param rgb 0xRRGGBB
     * @param share of all pixels that are seen, 0 to 1
     */
    public record Swatch(int rgb, double share) {}

    /**
     * @return the colors of the file's palettes, the darkest first; of several palettes the 256 used most. Shares are counted
     *     on frames spread over the loop
     */
    public static List<Swatch> of(Encoded encoded) {
        Map<Integer, Integer> counts = new HashMap<>();
        for (int color : encoded.settings().palette().colors()) {
            counts.put(color, 0);
        }
        for (EncodedFrame frame : encoded.stored()) {
            if (frame.stored().own() != null) {
                Arrays.stream(frame.stored().own().colors()).forEach(color -> counts.putIfAbsent(color, 0));
            }
        }
        Replay replay = new Replay(encoded.size(), encoded.settings().palette(), encoded.stored());
        int looked = Math.min(MOST_FRAMES, encoded.frames());
        long seen = 0;
        for (int i = 0; i < looked; i++) {
            for (int pixel : replay.at((int) ((2L * i + 1) * encoded.frames() / (2L * looked)))
                    .argb()) {
                if (pixel != 0) {
                    counts.merge(pixel & 0xFFFFFF, 1, Integer::sum);
                    seen++;
                }
            }
        }
        double all = Math.max(1, seen);
        return counts.entrySet().stream()
                .sorted((a, b) -> Integer.compare(b.getValue(), a.getValue()))
                .limit(Palette.MAX_ENTRIES)
                .map(each -> new Swatch(each.getKey(), each.getValue() / all))
                .sorted((a, b) -> Float.compare(lightness(a.rgb), lightness(b.rgb)))
                .toList();
    }

    private static float lightness(int rgb) {
        float[] lab = new float[3];
        Oklab.fromRgb(rgb, lab, 0);
        return lab[0];
    }
}
