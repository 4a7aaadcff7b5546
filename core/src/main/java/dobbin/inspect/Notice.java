package dobbin.inspect;

import dobbin.edit.Edit;
import dobbin.reel.ContentName;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.RenderKeys;
import java.util.List;

/**
 * Something about a loop that is worth a word, and what could be done about it.
 *
 * @param key the same for as long as it is about the same frames that look the same
 * @param frames it is about, or that would remain, as the kind says
 * @param says what is the matter, as a sentence
 * @param act what {@code fix} does, in a few words for a button
 */
public record Notice(String key, Kind kind, List<Integer> frames, String says, String act, Edit fix) {
    public enum Kind {
        /** Delays that browsers take for mistakes. */
        SHORT_DELAYS,
        /** Stills that leave some of the canvas bare. */
        BARE_CANVAS,
        /** The last frame repeats the first. */
        REPEATS_FIRST,
        /** The same picture several times in a row. */
        DUPLICATES,
        /** A frame of one color among pictures. */
        BLANK,
        /** A frame unlike its neighbors, which are like each other. */
        FAR,
        /** The loop would close better if it were only {@code frames}. */
        BETTER_LOOP,
        /** Cut-outs that are not drawn for now. */
        HIDDEN,
        /** More than three flashes within a second. */
        FLASHES,
        /** Of the delivery: frames that are left out. */
        LEFT_OUT,
        /** Of the delivery: wider than most pages show it. */
        WIDE,
        /** Of the delivery on a page: edges of a color that belongs to neither. */
        FRINGE,
        /** Of the delivery on a page: what is transparent is filled with another color than the page's. */
        BOX
    }

    private static final int KEY_DIGITS = 24;

    static Notice of(Reel reel, Kind kind, List<Frame> frames, String says, String act, Edit fix) {
        StringBuilder about = new StringBuilder();
        RenderKeys keys = new RenderKeys(reel);
        for (Frame frame : frames) {
            about.append(frame.id()).append(' ').append(keys.of(frame)).append('\n');
        }
        String key = kind + " " + ContentName.of(about.toString()).substring(0, KEY_DIGITS);
        return new Notice(key, kind, frames.stream().map(Frame::id).toList(), says, act, fix);
    }
}
