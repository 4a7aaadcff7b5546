package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Still;

/** When the still on a frame was taken. */
final class DateTaken {
    private DateTaken() {}

    static boolean isKnown(Frame frame) {
        return millis(frame) != Still.NO_TIME;
    }

    /** @return since 1970 began; {@link Still#NO_TIME} where it is not known, or the frame shows no still */
    static long millis(Frame frame) {
        return frame.content().match(Still::taken, card -> Still.NO_TIME, fade -> Still.NO_TIME);
    }
}
