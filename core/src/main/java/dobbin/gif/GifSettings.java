package dobbin.gif;

import dobbin.dither.Dithering;
import dobbin.palette.Palette;

/**
 * How a file is written.
 *
 * @param palette the file's own; frames may bring theirs
 * @param lossless whether the palettes hold every color there is: then nothing is mixed and nothing is left out
 * @param onePalette whether all frames use the file's palette
 * @param tolerance 0 to 100
 * @param plays how often viewers shall play it in all; 0 for without end
 * @param comment or empty for none
 */
public record GifSettings(
        Palette palette,
        boolean lossless,
        boolean onePalette,
        Dithering dithering,
        int tolerance,
        int plays,
        String comment) {
    public GifSettings {
        dithering = lossless ? Dithering.NONE : dithering;
        tolerance = lossless ? 0 : tolerance;
    }

    public GifSettings withPlaysAndComment(int newPlays, String newComment) {
        return new GifSettings(palette, lossless, onePalette, dithering, tolerance, newPlays, newComment);
    }

    /** @return whether the same color becomes the same index in every frame */
    boolean repeatable() {
        return lossless || onePalette && !dithering.mixes();
    }
}
