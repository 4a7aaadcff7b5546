package dobbin.render;

import dobbin.reel.Card;
import dobbin.reel.ContentName;
import dobbin.reel.Cutout;
import dobbin.reel.Fill;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Reel;
import dobbin.reel.Shape;
import dobbin.reel.Still;
import dobbin.reel.Tracks;
import java.util.stream.Collectors;

/**
 * Short names for what things look like, made of all they depend on: equal names, equal pictures. They make addresses
 * that never change. The word each begins with changes when the way of drawing or writing does.
 */
public final class Looks {
    /** Changes with the way of drawing, and so with every name. */
    public static final int VERSION = 4;

    private static final int DIGITS = 24;

    private Looks() {}

    /** @return the name of what {@code frame} looks like, at any size */
    public static String of(Reel reel, Frame frame) {
        return of(reel, new Tracks(reel.frames()), frame);
    }

    /** As above, for many frames of one reel. */
    public static String of(Reel reel, Tracks tracks, Frame frame) {
        return name(drawing(reel, tracks, frame));
    }

    /** @return the name of what the cut-out shows there, without its pose */
    public static String ofArt(Tracks tracks, Cutout cutout, int index) {
        return name("art-2 " + art(tracks, cutout, index));
    }

    /** @return the name of the loop as it runs: frames, their order, delays and plays, at any size and number of colors */
    public static String ofLoop(Reel reel) {
        return name(loop(reel));
    }

    /** @return the name of the file that would be delivered */
    public static String ofDelivery(Reel reel) {
        return name("delivery-4 " + reel.delivery() + '\n' + loop(reel));
    }

    /**
     * @return the name of what would be delivered but for delays and plays, which can be changed without encoding again
     * @param mayMerge whether frames that look the same may become one
     */
    public static String ofEncoding(Reel reel, boolean mayMerge) {
        StringBuilder inputs =
                new StringBuilder("encoding-3 ").append(mayMerge).append(' ').append(reel.delivery());
        Tracks tracks = new Tracks(reel.frames());
        for (Frame frame : reel.loop()) {
            inputs.append('\n').append(drawing(reel, tracks, frame));
        }
        return name(inputs.toString());
    }

    private static String drawing(Reel reel, Tracks tracks, Frame frame) {
        StringBuilder inputs = new StringBuilder("drawing-")
                .append(VERSION)
                .append(' ')
                .append(reel.canvas())
                .append(' ');
        inputs.append(ingredients(frame.content()));
        if (!reel.backdrop().equals(Fill.NONE)) {
            inputs.append("\non ").append(reel.backdrop().match(Fill::toString, Looks::ingredients));
        }
        int index = tracks.index(frame.id());
        for (Cutout cutout : reel.cutouts()) {
            if (!cutout.hidden() && tracks.isThere(cutout, index)) {
                inputs.append("\nwith ").append(posed(tracks, cutout, index));
            }
        }
        if (!reel.border().none()) {
            inputs.append("\nin ").append(reel.border());
        }
        return inputs.toString();
    }

    private static String posed(Tracks tracks, Cutout cutout, int index) {
        return String.join(
                " ",
                String.valueOf(cutout.under()),
                cutout.blend().name(),
                cutout.shadow().toString(),
                String.valueOf(cutout.pivotX()),
                String.valueOf(cutout.pivotY()),
                tracks.pose(cutout, index).toString(),
                art(tracks, cutout, index));
    }

    private static String art(Tracks tracks, Cutout cutout, int index) {
        return cutout.art()
                .match(
                        cycle -> cycle.pictures().get(tracks.turn(cutout, index)) + " " + cycle.width() + ' '
                                + cycle.height(),
                        words -> words + " " + tracks.pose(cutout, index).shown() + ' '
                                + tracks.pose(cutout, index).walk(),
                        Shape::toString,
                        group -> group.members().stream()
                                .filter(member -> !member.hidden() && tracks.isThere(member, index))
                                .map(member -> posed(tracks, member, index))
                                .collect(Collectors.joining(
                                        "\n", "group " + group.width() + ' ' + group.height() + '\n', "\n")));
    }

    private static String ingredients(FrameContent content) {
        return content.match(
                Looks::ingredients,
                Card::toString,
                fade -> "fade " + ingredients(fade.from()) + ' ' + ingredients(fade.to()) + ' ' + fade.share());
    }

    private static String ingredients(Still still) {
        return still.picture() + ' ' + still.size() + ' ' + still.fit();
    }

    private static String loop(Reel reel) {
        StringBuilder inputs = new StringBuilder("loop-1 " + reel.plays().times());
        Tracks tracks = new Tracks(reel.frames());
        for (Frame frame : reel.loop()) {
            inputs.append('\n').append(frame.delayMillis()).append(' ').append(drawing(reel, tracks, frame));
        }
        return inputs.toString();
    }

    private static String name(String inputs) {
        return ContentName.of(inputs).substring(0, DIGITS);
    }
}
