package dobbin.edit;

import dobbin.reel.Card;
import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;

/**
 * Puts in a new frame of one color, with or without words.
 *
 * @param after the frame it goes after; 0 for before all
 */
public record AddCard(
        Card card,

        @Min(Ranges.MIN_DELAY_MILLIS) @Max(Ranges.MAX_DELAY_MILLIS)
        int delayMillis,

        int after) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return Gap.insert(reel, Gap.index(reel, after), List.of(Frame.of(reel.nextId(), delayMillis, card)));
    }

    @Override
    public String title(Reel reel) {
        return card.text().isBlank() ? "Add a blank frame" : "Add a title card";
    }
}
