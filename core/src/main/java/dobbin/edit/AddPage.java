package dobbin.edit;

import dobbin.reel.Card;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.List;

/**
 * Puts in a new frame to draw on, which shows as long as the one before it.
 *
 * @param after the frame it goes after; 0 for before all
 * @param keepsStill whether it shows what lies under the ink of the frame before, and not nothing
 */
public record AddPage(int after, boolean keepsStill) implements Edit {
    /** Twelve drawings a second on twos: what most who draw by hand begin with. */
    private static final int FIRST_DELAY_MILLIS = 120;

    @Override
    public Reel applyTo(Reel reel) {
        int gap = Gap.index(reel, after);
        Frame page = gap == 0
                ? Frame.of(reel.nextId(), FIRST_DELAY_MILLIS, Card.blank(""))
                : like(reel.frames().get(gap - 1), reel.nextId());
        return Gap.insert(reel, gap, List.of(page));
    }

    @Override
    public String title(Reel reel) {
        return keepsStill ? "Add a page with the still" : "Add an empty page";
    }

    private Frame like(Frame before, int id) {
        return Frame.of(id, before.delayMillis(), keepsStill ? before.content() : Card.blank(""));
    }
}
