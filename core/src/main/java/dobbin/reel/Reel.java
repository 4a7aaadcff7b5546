package dobbin.reel;

import dobbin.raster.Size;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A loop in the making.
 *
 * @param frames in playing order, at most 2,000, ids all different
 * @param budgetBytes what the delivered file should stay under
 * @param nextFrameId the id the next new frame gets, above all that were ever given
 */
public record Reel(
        String name,
        Size canvas,
        List<Frame> frames,
        Plays plays,
        Delivery delivery,
        int budgetBytes,
        int nextFrameId) {
    private static final Size FIRST_CANVAS = new Size(480, 320);
    private static final int FIRST_BUDGET_BYTES = 1_000_000;

    public Reel {
        name = Ranges.checkName("name", name);
        frames = List.copyOf(frames);
        Ranges.check("frames", frames.size(), 0, Ranges.MAX_FRAMES);
        Ranges.check("budgetBytes", budgetBytes, Ranges.MIN_BUDGET_BYTES, Ranges.MAX_BUDGET_BYTES);
        Set<Integer> ids = new HashSet<>();
        for (Frame frame : frames) {
            if (!ids.add(frame.id()) || frame.id() >= nextFrameId) {
                throw new OutOfRange("frames", "must have ids that are all different and below " + nextFrameId);
            }
        }
    }

    /** @return a reel without frames; its canvas is settled by the first stills it gets */
    public static Reel empty(String name) {
        Delivery delivery = Delivery.usualFor(FIRST_CANVAS);
        return new Reel(name, FIRST_CANVAS, List.of(), Plays.FOREVER, delivery, FIRST_BUDGET_BYTES, 1);
    }

    public Reel withName(String newName) {
        return new Reel(newName, canvas, frames, plays, delivery, budgetBytes, nextFrameId);
    }

    public Reel withFrames(List<Frame> newFrames) {
        return withFrames(newFrames, nextFrameId);
    }

    public Reel withFrames(List<Frame> newFrames, int newNextFrameId) {
        return new Reel(name, canvas, newFrames, plays, delivery, budgetBytes, newNextFrameId);
    }

    public Reel withCanvas(Size newCanvas, Delivery newDelivery) {
        return new Reel(name, newCanvas, frames, plays, newDelivery, budgetBytes, nextFrameId);
    }

    public Reel withPlays(Plays newPlays) {
        return new Reel(name, canvas, frames, newPlays, delivery, budgetBytes, nextFrameId);
    }

    public Reel withDelivery(Delivery newDelivery) {
        return new Reel(name, canvas, frames, plays, newDelivery, budgetBytes, nextFrameId);
    }

    public Reel withBudget(int newBudgetBytes) {
        return new Reel(name, canvas, frames, plays, delivery, newBudgetBytes, nextFrameId);
    }

    /** @return the size of the delivered file's pictures */
    public Size deliveredSize() {
        return canvas.withWidth(delivery.width());
    }

    public int[] delaysMillis() {
        return frames.stream().mapToInt(Frame::delayMillis).toArray();
    }

    /** @return the names of all pictures the document uses */
    public Set<String> pictures() {
        return frames.stream().map(frame -> frame.still().picture()).collect(Collectors.toSet());
    }
}
