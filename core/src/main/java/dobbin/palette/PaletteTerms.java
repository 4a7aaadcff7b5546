package dobbin.palette;

import java.util.List;

/**
 * What a palette is to be made of.
 *
 * @param entries how many it may have, 2 to 256, a transparent one included
 * @param transparent whether it must hold a transparent entry
 * @param own the colors of {@link ColorChoice#OWN}, 0xRRGGBB, not empty there; no matter elsewhere
 * @param kept colors that must be in it whatever the pictures hold, 0xRRGGBB, fewer than {@code entries}
 * @param forDithering whether colors will be mixed of those around them
 */
public record PaletteTerms(
        int entries,
        boolean transparent,
        ColorChoice choice,
        List<Integer> own,
        List<Integer> kept,
        boolean forDithering) {
    public PaletteTerms {
        own = List.copyOf(own);
        kept = List.copyOf(kept);
    }

    /** The colors as they are seen, none of them kept. */
    public static PaletteTerms seen(int entries, boolean transparent, boolean forDithering) {
        return new PaletteTerms(entries, transparent, ColorChoice.SEEN, List.of(), List.of(), forDithering);
    }

    public PaletteTerms withTransparent(boolean newTransparent) {
        return new PaletteTerms(entries, newTransparent, choice, own, kept, forDithering);
    }

    int colors() {
        return entries - (transparent ? 1 : 0);
    }
}
