package dobbin.edit;

import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.FrameContent;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Which canvas a reel gets from the stills it begins with. */
final class Canvases {
    private Canvases() {}

    static List<Size> sizesOf(List<FrameContent> contents) {
        return contents.stream()
                .filter(Still.class::isInstance)
                .map(content -> ((Still) content).size())
                .toList();
    }

    /** The size more than half of the stills share, else the first one's. */
    static Reel settledBy(Reel reel, List<Size> stills) {
        if (stills.isEmpty()) {
            return reel;
        }
        Map<Size, Integer> votes = new LinkedHashMap<>();
        stills.forEach(size -> votes.merge(size, 1, Integer::sum));
        Size canvas = votes.entrySet().stream()
                .filter(vote -> 2 * vote.getValue() > stills.size())
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(stills.get(0));
        return reel.withCanvas(canvas, Delivery.usualFor(canvas));
    }
}
