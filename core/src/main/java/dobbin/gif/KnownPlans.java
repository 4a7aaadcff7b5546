package dobbin.gif;

import dobbin.raster.Memory;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Plans the frames of a loop as {@link ChangePlanner} does, and remembers what it found: a loop of the same pictures is not
 * planned again where only colors or dither have changed.
 */
final class KnownPlans {
    /** Pictures that were met again wait for the planner, which sees them only if one comes that is not known. */
    private static final long MOST_PIXELS_WAITING = 12_000_000;

    private static final long NOTHING_BEFORE = 0;
    private static final AtomicLong FOUND = new AtomicLong();

    private final Size size;
    private final int tolerance;
    private final Set<Integer> keptColors;
    private final Memory memory;
    private final ChangePlanner planner;
    private final List<Raster> waiting = new ArrayList<>();
    private Found latest = new Found(null, NOTHING_BEFORE);
    private Raster last;

    /** @param before which step came before; that one names all pictures before it and their terms */
    private record StepTerms(int tolerance, Set<Integer> keptColors, long before) {}

    private record LastTerms(long before) {}

    /** @param serialNumber a number that no other step has */
    private record Found(ChangePlanner.Step step, long serialNumber) implements Memory.Bulky {}

    KnownPlans(Size size, int tolerance, Set<Integer> keptColors, Memory memory) {
        this.size = size;
        this.tolerance = tolerance;
        this.keptColors = keptColors;
        this.memory = memory;
        this.planner = new ChangePlanner(size, tolerance, keptColors);
    }

    /** See {@link ChangePlanner#next}. */
    ChangePlanner.Step next(Raster picture) {
        last = picture;
        waiting.add(picture);
        StepTerms terms = new StepTerms(tolerance, keptColors, latest.serialNumber);
        latest = memory.of(picture, terms, () -> new Found(planned(), FOUND.incrementAndGet()));
        if (waiting.size() * size.area() > MOST_PIXELS_WAITING) {
            planned();
        }
        return latest.step;
    }

    /** See {@link ChangePlanner#last}. */
    FramePlan last() {
        return memory.of(last, new LastTerms(latest.serialNumber), () -> {
            planned();
            return planner.last();
        });
    }

    /** @return the step of the last of the pictures that wait; null where none does */
    private ChangePlanner.Step planned() {
        ChangePlanner.Step step = null;
        for (Raster each : waiting) {
            step = planner.next(each.argb());
        }
        waiting.clear();
        return step;
    }
}
