package dobbin.edit;

import dobbin.raster.Size;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;

/**
 * Gives the reel another canvas. The delivered file follows it until someone sets its width, and keeps that from then on.
 *
 * @param width and {@code height} 1 to 10,000 pixels
 */
public record SetCanvas(int width, int height) implements Edit {
    private static final int MAX_SIDE = 10_000;

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check("width", width, 1, MAX_SIDE);
        Ranges.check("height", height, 1, MAX_SIDE);
        return reel.withCanvas(new Size(width, height));
    }

    @Override
    public String title(Reel reel) {
        return "Make the canvas " + width + " × " + height;
    }
}
