package dobbin.slim;

import dobbin.raster.Bounds;
import dobbin.raster.HardPixels;
import dobbin.raster.Raster;
import dobbin.raster.Region;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import dobbin.reel.Crop;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Scaling;
import dobbin.reel.Tracks;
import dobbin.render.Pictures;
import dobbin.render.Renderer;

/**
 * How drawn frames become delivered ones: the whole canvas is drawn so large that the part of it that is delivered has the
 * delivered size, and that part is cut out.
 *
 * @param drawn the size at which the whole canvas is drawn
 * @param part of that which is delivered
 * @param delivered the size of the delivered pictures
 */
public record Framed(Size drawn, Region part, Size delivered, Scaling scaling) {
    /** A small part much enlarged would have the whole drawn larger than this; it is drawn so large and enlarged. */
    private static final long MOST_DRAWN_PIXELS = 8_000_000;

    public static Framed of(Reel reel) {
        return of(reel, reel.deliveredSize());
    }

    /** @param delivered another size, of the delivered part's ratio but for rounding */
    public static Framed of(Reel reel, Size delivered) {
        Size canvas = reel.canvas();
        Crop crop = reel.delivery().framing().crop();
        Scaling scaling = reel.delivery().framing().enlarge() > 1
                ? Scaling.HARD
                : reel.delivery().framing().scaling();
        Bounds box = crop.on(canvas);
        Region boxed = new Region(box.left(), box.top(), box.width(), box.height());
        if (scaling == Scaling.HARD && canvas.area() <= MOST_DRAWN_PIXELS) {
            return new Framed(canvas, boxed, delivered, Scaling.HARD);
        }
        if (crop.whole()) {
            return new Framed(delivered, Region.all(delivered), delivered, Scaling.SMOOTH);
        }
        double scale = (double) delivered.width() / box.width();
        double most = Math.sqrt((double) MOST_DRAWN_PIXELS / canvas.area());
        Size drawn = scaled(canvas, Math.min(scale, most));
        double across = (double) drawn.width() / canvas.width();
        double down = (double) drawn.height() / canvas.height();
        Region part = scale <= most
                ? new Region(
                        within(box.left() * across, delivered.width(), drawn.width()),
                        within(box.top() * down, delivered.height(), drawn.height()),
                        delivered.width(),
                        delivered.height())
                : new Region(box.left() * across, box.top() * down, box.width() * across, box.height() * down);
        return new Framed(drawn, part, delivered, Scaling.SMOOTH);
    }

    /** @return the frame as it is delivered, before its edges are made hard */
    public Raster draw(Reel reel, Tracks tracks, Frame frame, Pictures pictures) {
        Raster whole = Renderer.draw(reel, tracks, frame, pictures, drawn);
        return drawn.equals(delivered) && part.equals(Region.all(drawn)) ? whole : cut(whole);
    }

    private Raster cut(Raster whole) {
        if (scaling == Scaling.HARD) {
            return HardPixels.resize(whole, bounds(), delivered);
        }
        return onPixels() ? whole.cut(bounds()) : Resampler.resize(whole, part, delivered);
    }

    private boolean onPixels() {
        return part.width() == delivered.width() && part.height() == delivered.height();
    }

    private Bounds bounds() {
        return Bounds.around(part);
    }

    /** Rounds the start of a part to whole pixels, so that all of the part lies on the picture. */
    private static double within(double start, int length, int whole) {
        return Math.max(0, Math.min(Math.round(start), whole - length));
    }

    private static Size scaled(Size size, double scale) {
        return new Size((int) Math.max(1, Math.ceil(size.width() * scale)), (int)
                Math.max(1, Math.ceil(size.height() * scale)));
    }
}
