package dobbin.edit;

import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * Several edits as one: made in order, all of them or none, and undone at once.
 *
 * @param edits 1 to 100, no batches among them
 * @param title what they do together, as for the undo button
 */
public record Batch(@Size(min = 1, max = 100) List<Edit> edits, String title) implements Edit {
    public Batch {
        edits = List.copyOf(edits);
        Ranges.check(Batch.class, "edits", edits.size());
        title = Ranges.checkName("title", title);
        if (edits.stream().anyMatch(Batch.class::isInstance)) {
            throw new OutOfRange("edits", "must not hold further batches");
        }
    }

    @Override
    public Reel applyTo(Reel reel) {
        Reel changed = reel;
        for (Edit edit : edits) {
            changed = edit.applyTo(changed);
        }
        return changed;
    }

    @Override
    public boolean fitsAnyState() {
        return edits.stream().allMatch(Edit::fitsAnyState);
    }

    @Override
    public boolean continues(Edit before) {
        return before instanceof Batch other
                && title.equals(other.title)
                && edits.size() == 1
                && other.edits.size() == 1
                && edits.get(0).continues(other.edits.get(0));
    }

    @Override
    public String title(Reel reel) {
        return title;
    }
}
