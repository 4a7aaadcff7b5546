package dobbin.draw;

import dobbin.raster.Compositor;
import dobbin.raster.Raster;
import dobbin.reel.Art;
import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import dobbin.reel.Words;

/**
 * Words, a shape or pictures as ink.
 *
 * @param x and {@code y} where the upper left corner of their box lies, in pixels of the canvas
 */
public record Press(Art art, int x, int y) implements Mark {
    public Press {
        if (art == null) {
            throw new OutOfRange("art", "must be given");
        }
        Ranges.check("x", x, -Ranges.MAX_SIDE, Ranges.MAX_SIDE);
        Ranges.check("y", y, -Ranges.MAX_SIDE, Ranges.MAX_SIDE);
    }

    @Override
    public Raster on(Raster ink, Scene scene) {
        int[] argb = ink.argb().clone();
        Compositor.over(scene.art().get(), 0, 0, argb, ink.size());
        return Raster.of(ink.size(), argb);
    }

    @Override
    public String verb() {
        return art instanceof Words ? "Write" : "Press";
    }
}
