package dobbin.slim;

import dobbin.dither.Dither;
import dobbin.reel.Delivery;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;

/** Says in a sentence what was given up for a budget. */
public final class GivenUp {
    private GivenUp() {}

    /**
     * @param reel as it was set before
     * @return as "64 colors instead of 256, and 420 px wide: 498 KB"
     */
    public static String sentence(Reel reel, Fitting.Result result, int budget) {
        if (result.best() == null) {
            return "Nothing that may change brings it under " + ByteCount.text(budget) + "; the lightest is "
                    + ByteCount.text(result.smallest().bytes()) + ".";
        }
        Trial best = result.best();
        List<String> parts = parts(reel, best.delivery());
        String weight = ": " + ByteCount.text(best.bytes());
        if (parts.isEmpty()) {
            return "Nothing had to be given up" + weight + ".";
        }
        String last = parts.get(parts.size() - 1);
        String sentence =
                parts.size() == 1 ? last : String.join(", ", parts.subList(0, parts.size() - 1)) + ", and " + last;
        return Character.toUpperCase(sentence.charAt(0)) + sentence.substring(1) + weight + ".";
    }

    private static List<String> parts(Reel reel, Delivery after) {
        Delivery before = reel.delivery();
        List<String> parts = new ArrayList<>();
        if (after.colors() != before.colors()) {
            parts.add(after.colors() + " colors instead of " + before.colors());
        }
        if (after.dither() != before.dither()) {
            parts.add(after.dither() == Dither.NONE ? "no dithering" : "dithering");
        }
        int tolerance = after.encoding().tolerance();
        if (tolerance != before.encoding().tolerance()) {
            parts.add("a tolerance of " + tolerance + " instead of "
                    + before.encoding().tolerance());
        }
        if (!after.sizeOf(reel.canvas()).equals(before.sizeOf(reel.canvas()))) {
            parts.add(after.sizeOf(reel.canvas()).width() + " px wide instead of "
                    + before.sizeOf(reel.canvas()).width());
        }
        if (after.framing().every() != before.framing().every()) {
            parts.add("one frame in " + after.framing().every());
        }
        return parts;
    }
}
