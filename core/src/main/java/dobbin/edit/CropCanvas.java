package dobbin.edit;

import dobbin.raster.Bounds;
import dobbin.raster.Region;
import dobbin.raster.Size;
import dobbin.reel.Crop;
import dobbin.reel.FrameContent;
import dobbin.reel.Framing;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * Makes a part of the canvas the canvas. Stills, backdrop and cut-outs stay where they are seen; cards are laid anew. What
 * is delivered stays as large as it was; where what is left of it cannot be had at that size, its size follows the canvas.
 *
 * @param x and {@code y} of the part's corner, {@code width} and {@code height}, in pixels of the canvas
 */
public record CropCanvas(
        @Min(0) @Max(Ranges.MAX_SIDE) int x,
        @Min(0) @Max(Ranges.MAX_SIDE) int y,
        @Min(1) @Max(Ranges.MAX_SIDE) int width,
        @Min(1) @Max(Ranges.MAX_SIDE) int height)
        implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        Size canvas = reel.canvas();
        Ranges.check("x", x, 0, canvas.width() - 1);
        Ranges.check("y", y, 0, canvas.height() - 1);
        Ranges.check("width", width, 1, canvas.width() - x);
        Ranges.check("height", height, 1, canvas.height() - y);
        Reel moved = reel.withFrames(reel.frames().stream()
                        .map(frame -> frame.withContent(moved(frame.content(), canvas))
                                .withInk(frame.ink().movedBy(-x, -y)))
                        .toList())
                .withBackdrop(reel.backdrop().match(fill -> fill, still -> moved(still, canvas)))
                .withCutouts(reel.cutouts().stream()
                        .map(cutout -> cutout.movedBy(-x, -y))
                        .toList());
        return moved.withCanvas(new Size(width, height), framing(reel));
    }

    @Override
    public boolean fitsAnyState() {
        return false;
    }

    @Override
    public String title(Reel reel) {
        return "Crop the canvas to " + width + " × " + height;
    }

    private Framing framing(Reel reel) {
        Framing framing = reel.delivery().framing().withCrop(left(reel));
        return framing.fits(new Size(width, height)) ? framing : framing.withWidth(Framing.FOLLOWS);
    }

    /** @return what of the delivered part is left, on the new canvas */
    private Crop left(Reel reel) {
        Bounds part = new Bounds(x, y, x + width, y + height);
        Bounds left = reel.delivery().framing().crop().on(reel.canvas()).within(part);
        return left.isEmpty() || left.equals(part)
                ? Crop.WHOLE
                : Crop.of(new Bounds(left.left() - x, left.top() - y, left.right() - x, left.bottom() - y));
    }

    private FrameContent moved(FrameContent content, Size canvas) {
        return content.match(
                still -> moved(still, canvas), card -> card, fade -> fade.withEach(each -> moved(each, canvas)));
    }

    private Still moved(Still still, Size canvas) {
        Region place = still.fit().place(still.size(), canvas);
        return still.withFit(
                still.fit().placed(new Region(place.x() - x, place.y() - y, place.width(), place.height())));
    }
}
