package dobbin.reel;

import java.util.List;

/**
 * One picture, or several that take turns; smaller ones lie in the middle of the largest.
 *
 * @param pictures 1 to 200
 * @param every how many frames each is seen, 1 to 100
 * @param offset how many frames the turn is ahead, 0 to 10,000
 */
public record Cycle(List<PictureRef> pictures, int every, int offset) implements Art {
    public Cycle {
        pictures = List.copyOf(pictures);
        Ranges.check("pictures", pictures.size(), 1, 200);
        Ranges.check("every", every, 1, 100);
        Ranges.check("offset", offset, 0, 10_000);
    }

    /** @param frame counts from 0; the place of the picture that is seen there, from 0 */
    public int turn(int frame) {
        return (frame + offset) / every % pictures.size();
    }

    @Override
    public double width() {
        return pictures.stream().mapToInt(each -> each.size().width()).max().orElseThrow();
    }

    @Override
    public double height() {
        return pictures.stream().mapToInt(each -> each.size().height()).max().orElseThrow();
    }
}
