package dobbin.edit;

import dobbin.dither.Dither;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Reel;

/**
 * Sets how the delivered file is made; ranges as in {@link Delivery}.
 *
 * @param encoding the finer settings; null leaves them as they are
 */
public record SetDelivery(int width, int colors, Dither dither, String matte, Encoding encoding) implements Edit {
    /** Leaves the finer settings as they are. */
    public SetDelivery(int width, int colors, Dither dither, String matte) {
        this(width, colors, dither, matte, null);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return reel.withDelivery(new Delivery(
                width, colors, dither, matte, encoding == null ? reel.delivery().encoding() : encoding));
    }

    @Override
    public boolean fitsAnyState() {
        return false;
    }

    @Override
    public String title(Reel reel) {
        Delivery before = reel.delivery();
        if (width != before.width()) {
            return width == Delivery.FOLLOWS ? "Let the file follow the canvas" : "Deliver " + width + " px wide";
        }
        if (colors != before.colors()) {
            return "Deliver " + colors + " colors";
        }
        if (dither != before.dither()) {
            return "Change dithering";
        }
        return matte.equals(before.matte()) ? "Change the encoding" : "Change soft edges";
    }
}
