package dobbin.server.slimming;

import dobbin.slim.Delivered;
import dobbin.slim.Encoded;
import dobbin.slim.FrameWeight;
import dobbin.slim.PaletteReason;
import dobbin.slim.Swatches;
import java.util.List;
import java.util.Locale;

/**
 * What is known of a file.
 *
 * @param bytes of all of it, and {@code head} of what is not of a frame: header, palette, loop
 * @param colors entries of its largest palette
 * @param reason why it has that many palettes
 * @param lossless whether every color is the drawn one
 * @param frames what each stored frame weighs
 * @param advice which is the heaviest, and what would help
 * @param swatches its colors, the darkest first
 */
record FileFacts(
        int bytes,
        int head,
        int colors,
        int palettes,
        PaletteReason reason,
        boolean lossless,
        List<FrameWeight> frames,
        String advice,
        List<SwatchView> swatches) {
    /**
     * @param color six hexadecimal digits
     * @param share of what is seen, 0 to 1
     */
    record SwatchView(String color, double share) {}

    static FileFacts of(Delivered file, Encoded encoded) {
        List<FrameWeight> frames = FrameWeight.of(file);
        int ofFrames = frames.stream().mapToInt(FrameWeight::bytes).sum();
        return new FileFacts(
                file.bytes().length,
                file.bytes().length - ofFrames,
                file.colors(),
                file.palettes(),
                file.reason(),
                file.lossless(),
                frames,
                FrameWeight.advice(frames),
                Swatches.of(encoded).stream()
                        .map(each -> new SwatchView(String.format(Locale.ROOT, "%06x", each.rgb()), each.share()))
                        .toList());
    }
}
