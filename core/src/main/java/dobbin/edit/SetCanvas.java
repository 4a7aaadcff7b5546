package dobbin.edit;

import dobbin.raster.Size;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * Gives the reel another canvas. The delivered file follows it until someone sets its width, and keeps that from then on.
 *
 * @param width and {@code height} 1 to 10,000 pixels
 */
public record SetCanvas(
        @Min(1) @Max(MAX_SIDE) int width,
        @Min(1) @Max(MAX_SIDE) int height) implements Edit {
    private static final int MAX_SIDE = 10_000;

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check(SetCanvas.class, "width", width);
        Ranges.check(SetCanvas.class, "height", height);
        return reel.withCanvas(new Size(width, height));
    }

    @Override
    public String title(Reel reel) {
        return "Make the canvas " + width + " × " + height;
    }
}
