package dobbin.gif;

import dobbin.dither.Dithering;
import dobbin.palette.Palette;

/**
 * How a file is written.
 *
 * @param palette the file's own; frames may bring theirs
 * @param exact whether the palettes hold every color there is: then nothing is mixed and nothing is left out
 * @param onePalette whether all frames use the file's palette
 * @param tolerance 0 to 100
 * @param plays how often viewers shall play it in all; 0 for without end
 * @param comment or empty for none
 */
public record GifSettings(
        Palette palette,
        boolean exact,
        boolean onePalette,
        Dithering dithering,
        int tolerance,
        int plays,
        String comment) {
    public GifSettings {
        dithering = exact ? Dithering.NONE : dithering;
        tolerance = exact ? 0 : tolerance;
    }

    public GifSettings withPlaysAndComment(int newPlays, String newComment) {
        return new GifSettings(palette, exact, onePalette, dithering, tolerance, newPlays, newComment);
    }

    /** @return whether the same color becomes the same index in every frame */
    boolean repeatable() {
        return exact || onePalette && !dithering.mixes();
    }
}
