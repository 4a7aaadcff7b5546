package dobbin.gif;

import dobbin.raster.Bounds;
import dobbin.raster.Disposal;
import dobbin.raster.Size;
import java.util.Arrays;
import java.util.Set;

/**
 * What of each frame of a loop must be stored, given what viewers still have on the screen, and how each is disposed of.
 *
 * <p>A frame's disposal is chosen by what it leaves the next one to draw: kept, put back or cleared, whichever leaves
 * least. A pixel that becomes transparent again can only be had by one of the last two. So a plan is finished when the
 * next frame is known. Frames in which nothing changes are no frames: the one before shows longer.
 */
final class ChangePlanner {
    /** Looking for something put back pays only where little was drawn. */
    private static final int SMALL_PART = 2;

    private final Size size;
    private final int tolerance;
    private final Set<Integer> keptColors;
    private final Calm calm;
    private int[] before;
    private int[] after;
    private Change waiting;
    private Bounds box;

    /**
     * @param tolerance 0 to 100; 0 holds only what is the same to the last bit
     * @param keptColors colors, 0xRRGGBB, for which there is no tolerance
     */
    ChangePlanner(Size size, int tolerance, Set<Integer> keptColors) {
        this.keptColors = keptColors;
        this.calm = new Calm(size);
        this.size = size;
        this.tolerance = tolerance;
        this.after = new int[Math.toIntExact(size.area())];
    }

    /**
     * @param finished the plan of the frame before, or null where this is the first, or nothing has changed
     * @param unchanged whether the frame needs no storing
     */
    record Step(FramePlan finished, boolean unchanged) {}

    /** @param argb the next frame: opaque pixels or 0 */
    Step next(int[] argb) {
        calm.see(argb);
        if (waiting == null) {
            draw(Change.between(after, argb, size, tolerance, keptColors, calm), argb);
            return new Step(null, false);
        }
        Change kept = Change.between(after, argb, size, tolerance, keptColors, calm);
        boolean canKeep = kept.vanishing().isEmpty();
        if (canKeep && kept.drawn() == 0) {
            return new Step(null, true);
        }
        Disposal disposal = Disposal.KEEP;
        Change best = canKeep ? kept : null;
        int[] base = after;
        Bounds stored = box;
        if (!canKeep) {
            Bounds cleared = union(box, kept.vanishing());
            int[] emptied = emptied(after, cleared);
            best = Change.between(emptied, argb, size, tolerance, keptColors, calm);
            base = emptied;
            stored = cleared;
            disposal = Disposal.CLEAR;
        }
        if (best.drawn() < size.area() / SMALL_PART && (!canKeep || comesBack(argb))) {
            Change back = Change.between(before, argb, size, tolerance, keptColors, calm);
            if (back.vanishing().isEmpty() && back.drawn() < best.drawn()) {
                best = back;
                base = before;
                stored = box;
                disposal = Disposal.PUT_BACK;
            }
        }
        FramePlan finished = plan(stored, disposal);
        after = base;
        draw(best, argb);
        return new Step(finished, false);
    }

    /** @return the plan of the last frame */
    FramePlan last() {
        return plan(box, Disposal.KEEP);
    }

    /** @return whether more of what was drawn over last comes again than stays; elsewhere nothing is put back */
    private boolean comesBack(int[] argb) {
        int balance = 0;
        for (int y = box.top(); y < box.bottom(); y++) {
            for (int at = y * size.width() + box.left(), end = at + box.width(); at < end; at++) {
                balance += (argb[at] == before[at] ? 1 : 0) - (argb[at] == after[at] ? 1 : 0);
            }
        }
        return balance > 0;
    }

    private FramePlan plan(Bounds stored, Disposal disposal) {
        return new FramePlan(stored, waiting.held(), waiting.returned(), waiting.exact(), waiting.drawn(), disposal);
    }

    private void draw(Change change, int[] argb) {
        before = after;
        after = before.clone();
        byte[] held = change.held();
        for (int i = 0; i < held.length; i++) {
            if (held[i] == 0) {
                after[i] = argb[i];
            }
        }
        waiting = change;
        // A GIF frame has at least one pixel.
        box = change.box().isEmpty() ? new Bounds(0, 0, 1, 1) : change.box();
    }

    private int[] emptied(int[] argb, Bounds part) {
        int[] emptied = argb.clone();
        for (int y = part.top(); y < part.bottom(); y++) {
            Arrays.fill(emptied, y * size.width() + part.left(), y * size.width() + part.right(), 0);
        }
        return emptied;
    }

    private static Bounds union(Bounds a, Bounds b) {
        return new Bounds(
                Math.min(a.left(), b.left()),
                Math.min(a.top(), b.top()),
                Math.max(a.right(), b.right()),
                Math.max(a.bottom(), b.bottom()));
    }
}
