package dobbin.edit;

import dobbin.reel.Card;
import dobbin.reel.Reel;
import java.util.List;

/** Makes a card of each of the named frames, in place of what they show; they keep their delays and places. */
public record ChangeCard(List<Integer> frames, Card card) implements Edit {
    public ChangeCard {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return reel.withFrames(Chosen.of(reel, frames).each(frame -> frame.withContent(card)));
    }

    @Override
    public String title(Reel reel) {
        return "Change the card of " + Chosen.words(reel, frames);
    }
}
