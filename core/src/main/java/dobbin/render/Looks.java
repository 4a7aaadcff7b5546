package dobbin.render;

import dobbin.reel.ContentName;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Reel;
import dobbin.reel.Still;

/**
 * Short names for what things look like, made of all they depend on: equal names, equal pictures. They make addresses
 * that never change. The word each begins with changes when the way of drawing or writing does.
 */
public final class Looks {
    private static final int DIGITS = 24;

    private Looks() {}

    /** @return the name of what {@code frame} looks like, at any size */
    public static String of(Reel reel, Frame frame) {
        return name(drawing(reel, frame));
    }

    /** @return the name of the loop as it runs: frames, their order, delays and plays, at any size and number of colors */
    public static String ofLoop(Reel reel) {
        return name(loop(reel));
    }

    /** @return the name of the file that would be delivered */
    public static String ofDelivery(Reel reel) {
        return name("delivery-1 " + reel.delivery() + '\n' + loop(reel));
    }

    private static String drawing(Reel reel, Frame frame) {
        return "drawing-2 " + reel.canvas() + ' ' + ingredients(frame.content());
    }

    private static String ingredients(FrameContent content) {
        return content instanceof Still still
                ? still.picture() + ' ' + still.size() + ' ' + still.fit()
                : content.toString();
    }

    private static String loop(Reel reel) {
        StringBuilder inputs = new StringBuilder("loop-1 " + reel.plays().times());
        for (Frame frame : reel.loop()) {
            inputs.append('\n').append(frame.delayMillis()).append(' ').append(drawing(reel, frame));
        }
        return inputs.toString();
    }

    private static String name(String inputs) {
        return ContentName.of(inputs).substring(0, DIGITS);
    }
}
