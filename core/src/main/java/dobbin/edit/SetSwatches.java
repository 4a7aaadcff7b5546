package dobbin.edit;

import dobbin.reel.Reel;
import java.util.List;

/**
 * Lays out colors to draw with.
 *
 * @param colors six hexadecimal digits each, the one used last first; at most 32
 */
public record SetSwatches(List<String> colors) implements Edit {
    public SetSwatches {
        colors = List.copyOf(colors);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return reel.withSwatches(colors.stream().distinct().toList());
    }

    @Override
    public boolean continues(Edit before) {
        return before instanceof SetSwatches;
    }

    @Override
    public String title(Reel reel) {
        return "Change the swatches";
    }
}
