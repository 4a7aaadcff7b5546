package dobbin.edit;

import dobbin.reel.Border;
import dobbin.reel.Reel;

/** Draws a border over all frames, or none. */
public record SetBorder(Border border) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return reel.withBorder(border);
    }

    @Override
    public String title(Reel reel) {
        return border.none() ? "Remove the border" : "Change the border";
    }
}
