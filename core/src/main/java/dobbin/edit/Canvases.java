package dobbin.edit;

import dobbin.raster.Size;
import dobbin.reel.FrameContent;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import java.util.List;

/** Which canvas a reel gets from the stills it begins with. */
final class Canvases {
    private Canvases() {}

    static List<Size> sizesOf(List<FrameContent> contents) {
        return contents.stream()
                .filter(Still.class::isInstance)
                .map(content -> ((Still) content).size())
                .toList();
    }

    /** The first still's size. */
    static Reel settledBy(Reel reel, List<Size> stills) {
        return stills.isEmpty() ? reel : reel.withCanvas(stills.get(0));
    }
}
