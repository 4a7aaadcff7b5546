package dobbin.reel;

import dobbin.palette.ColorChoice;
import dobbin.palette.Palette;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * How the colors of the delivered file are chosen.
 *
 * @param own the colors of a palette of one's own, six hexadecimal digits each, at most 256; empty unless it is chosen
 */
public record Coloring(
        ColorChoice choice, @Size(max = Palette.MAX_ENTRIES) List<String> own) {
    public static final Coloring USUAL = new Coloring(ColorChoice.SEEN, List.of());

    public Coloring {
        if (choice == null) {
            throw new OutOfRange("choice", "must be given");
        }
        own = own == null ? List.of() : List.copyOf(own);
        Ranges.check(Coloring.class, "own", own.size());
        own.forEach(color -> Ranges.checkColor("own", color));
        if (own.isEmpty() == (choice == ColorChoice.OWN)) {
            throw new OutOfRange("own", own.isEmpty() ? "must have at least one color" : "must be empty");
        }
    }

    /** @return the colors of one's own as numbers, 0xRRGGBB */
    public List<Integer> ownRgb() {
        return own.stream().map(color -> Integer.parseInt(color, 16)).toList();
    }
}
