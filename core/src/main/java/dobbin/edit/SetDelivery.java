package dobbin.edit;

import dobbin.dither.Dither;
import dobbin.reel.Delivery;
import dobbin.reel.Reel;

/** Sets how the delivered file is made; ranges as in {@link Delivery}. */
public record SetDelivery(int width, int colors, Dither dither, String matte) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return reel.withDelivery(new Delivery(width, colors, dither, matte));
    }

    @Override
    public boolean fitsAnyState() {
        return false;
    }

    @Override
    public String title(Reel reel) {
        Delivery before = reel.delivery();
        if (width != before.width()) {
            return "Deliver " + width + " px wide";
        }
        if (colors != before.colors()) {
            return "Deliver " + colors + " colors";
        }
        return dither != before.dither() ? "Change dithering" : "Change soft edges";
    }
}
