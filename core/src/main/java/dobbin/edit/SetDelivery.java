package dobbin.edit;

import dobbin.dither.Dither;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Framing;
import dobbin.reel.OutOfRange;
import dobbin.reel.Reel;

/** Sets how the delivered file is made; ranges as in {@link Delivery}. */
public record SetDelivery(Delivery delivery) implements Edit {
    /** The whole canvas at that width, with the usual finer settings. */
    public SetDelivery(int width, int colors, Dither dither, String matte) {
        this(new Delivery(width, colors, dither, matte, Encoding.USUAL));
    }

    @Override
    public Reel applyTo(Reel reel) {
        if (delivery == null) {
            throw new OutOfRange("delivery", "must be given");
        }
        return reel.withDelivery(delivery);
    }

    @Override
    public boolean fitsAnyState() {
        return false;
    }

    @Override
    public String title(Reel reel) {
        Delivery before = reel.delivery();
        String size = sizeTitle(before.framing(), delivery.framing(), reel);
        if (!size.isEmpty()) {
            return size;
        }
        if (delivery.colors() != before.colors()) {
            return "Deliver " + delivery.colors() + " colors";
        }
        if (!delivery.coloring().equals(before.coloring())
                || !delivery.encoding().keptColors().equals(before.encoding().keptColors())) {
            return "Change the palette";
        }
        if (!delivery.dithering().equals(before.dithering())) {
            return "Change dithering";
        }
        boolean sameEdges = delivery.matte().equals(before.matte()) && delivery.flat() == before.flat();
        return sameEdges ? "Change the encoding" : "Change soft edges";
    }

    private static String sizeTitle(Framing before, Framing after, Reel reel) {
        if (!after.crop().equals(before.crop())) {
            return after.crop().whole()
                    ? "Deliver the whole canvas"
                    : "Crop to " + after.crop().sizeOn(reel.canvas());
        }
        if (after.every() != before.every()) {
            return after.every() == 1 ? "Deliver every frame" : "Deliver every " + ordinal(after.every()) + " frame";
        }
        if (after.enlarge() != before.enlarge() && after.enlarge() > 1) {
            return "Enlarge " + after.enlarge() + " times";
        }
        if (after.height() != before.height() && after.height() != Framing.FOLLOWS) {
            return "Deliver " + after.height() + " px high";
        }
        if (after.width() != before.width() && after.width() != Framing.FOLLOWS) {
            return "Deliver " + after.width() + " px wide";
        }
        if (after.scaling() != before.scaling()) {
            return "Change the scaling";
        }
        return after.equals(before) ? "" : "Let the file follow the canvas";
    }

    private static String ordinal(int number) {
        return switch (number) {
            case 2 -> "second";
            case 3 -> "third";
            default -> number + "th";
        };
    }
}
