package dobbin.draw;

import dobbin.raster.Raster;
import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * Takes all ink inside an outline away.
 *
 * @param outline its corners, x and y each, in pixels of the canvas; two corners are those of a box
 */
public record Wipe(@Size(min = 4, max = 10_000) List<Double> outline) implements Mark {
    public Wipe {
        outline = List.copyOf(outline);
        Ranges.check(Wipe.class, "outline", outline.size());
        if (outline.size() % 2 != 0) {
            throw new OutOfRange("outline", "must be two numbers each");
        }
    }

    @Override
    public Raster on(Raster ink, Scene scene) {
        boolean[] inside = Outline.inside(outline, ink.size());
        int[] argb = ink.argb().clone();
        for (int at = 0; at < argb.length; at++) {
            argb[at] = inside[at] ? 0 : argb[at];
        }
        return Raster.of(ink.size(), argb);
    }

    @Override
    public String verb() {
        return "Remove ink";
    }
}
