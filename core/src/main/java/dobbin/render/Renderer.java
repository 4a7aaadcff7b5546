package dobbin.render;

import dobbin.raster.Compositor;
import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;

/** Frames to pictures. The same frame, canvas and pictures give the same pixels, whoever asks. */
public final class Renderer {
    private Renderer() {}

    /**
     * Draws {@code frame} as it shows on the canvas of {@code reel}, scaled to {@code size}. A still of another ratio is
     * fitted inside and centered; what it does not cover is transparent.
     *
     * @param size of the canvas's ratio, but for rounding
     */
    public static Raster draw(Reel reel, Frame frame, Pictures pictures, Size size) {
        Size fitted = fittedSize(frame.still(), reel.canvas(), size);
        Raster picture = pictures.raster(frame.still().picture(), Level.forDrawing(fitted));
        Raster scaled = Resampler.resize(picture, fitted);
        if (fitted.equals(size)) {
            return scaled;
        }
        int[] argb = new int[Math.toIntExact(size.area())];
        int x = (size.width() - fitted.width()) / 2;
        int y = (size.height() - fitted.height()) / 2;
        Compositor.over(scaled, x, y, argb, size);
        return Raster.of(size, argb);
    }

    /** A still of the canvas's own ratio covers all of it, even where rounding would leave a pixel. */
    private static Size fittedSize(Still still, Size canvas, Size size) {
        boolean sameRatio = (long) still.size().width() * canvas.height()
                == (long) still.size().height() * canvas.width();
        return sameRatio ? size : still.size().fittedInside(size);
    }
}
