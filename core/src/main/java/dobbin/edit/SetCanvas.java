package dobbin.edit;

import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;

/**
 * Gives the reel another canvas. A file delivered as wide as the canvas was stays so; one that was reduced keeps its
 * width.
 *
 * @param width and {@code height} 1 to 10,000 pixels
 */
public record SetCanvas(int width, int height) implements Edit {
    private static final int MAX_SIDE = 10_000;

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check("width", width, 1, MAX_SIDE);
        Ranges.check("height", height, 1, MAX_SIDE);
        Delivery delivery = reel.delivery();
        boolean asWide = delivery.width() == reel.canvas().width();
        return reel.withCanvas(
                new Size(width, height), asWide ? delivery.withWidth(Math.min(width, Delivery.MAX_WIDTH)) : delivery);
    }

    @Override
    public String title(Reel reel) {
        return "Make the canvas " + width + " × " + height;
    }
}
