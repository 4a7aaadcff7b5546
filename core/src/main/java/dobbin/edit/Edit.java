package dobbin.edit;

import dobbin.reel.OutOfRange;
import dobbin.reel.Reel;

/** One change to a reel, as a value. The same edit on the same reel gives the same reel, always. */
public sealed interface Edit
        permits AddStills,
                CopyFrames,
                MoveFrames,
                RemoveFrames,
                Rename,
                ReverseFrames,
                SetBudget,
                SetDelay,
                SetDelivery,
                SetPlays {

    /** Gives the changed reel, or throws {@link OutOfRange}, which {@link #apply} turns into a refusal. */
    Reel applyTo(Reel reel);

    /** @return what the edit does to {@code reel}, in a few words for the undo button: "Reverse 6 frames" */
    String title(Reel reel);

    /** @throws EditRejected where the edit makes no sense on this reel or would make it invalid */
    static Reel apply(Edit edit, Reel reel) {
        try {
            return edit.applyTo(reel);
        } catch (OutOfRange e) {
            throw new EditRejected(e.field(), e.getMessage(), e);
        }
    }
}
