package dobbin.server.reels;

import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Looks;
import dobbin.timing.Hundredths;
import dobbin.timing.Viewers;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;

/**
 * A reel as the interface draws it.
 *
 * @param fileMillis how long the loop is in the delivered file
 */
public record ReelView(
        String id,
        int revision,
        String name,
        Size canvas,
        List<FrameView> frames,
        int plays,
        Delivery delivery,
        Size deliveredSize,
        int maxWidth,
        int budgetBytes,
        int fileMillis,
        @Schema(types = {"string", "null"}) String undo,
        @Schema(types = {"string", "null"}) String redo) {

    /**
     * @param fileMillis the delay as the delivered file holds it, in whole hundredths of a second
     * @param shownMillis how long viewers show it, which for the shortest delays is longer
     * @param size of the still's picture in its file
     * @param otherSize whether that differs from the canvas
     * @param drawn names what the frame looks like: equal names, equal pictures
     */
    public record FrameView(
            int id,
            int delayMillis,
            int fileMillis,
            int shownMillis,
            String name,
            Size size,
            boolean otherSize,
            String drawn) {}

    public static ReelView of(OpenReel open) {
        Reel reel = open.reel();
        int[] hundredths = Hundredths.apportion(reel.delaysMillis());
        List<FrameView> frames = new ArrayList<>();
        int fileMillis = 0;
        for (int i = 0; i < hundredths.length; i++) {
            Frame frame = reel.frames().get(i);
            Size size = frame.still().size();
            frames.add(new FrameView(
                    frame.id(),
                    frame.delayMillis(),
                    10 * hundredths[i],
                    10 * Viewers.shownHundredths(hundredths[i]),
                    frame.still().name(),
                    size,
                    !size.equals(reel.canvas()),
                    Looks.of(reel, frame)));
            fileMillis += 10 * hundredths[i];
        }
        return new ReelView(
                open.id(),
                open.revision(),
                reel.name(),
                reel.canvas(),
                frames,
                reel.plays().times(),
                reel.delivery(),
                reel.deliveredSize(),
                Delivery.MAX_WIDTH,
                reel.budgetBytes(),
                fileMillis,
                open.undo(),
                open.redo());
    }
}
