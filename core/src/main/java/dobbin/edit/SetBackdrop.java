package dobbin.edit;

import dobbin.reel.Backdrop;
import dobbin.reel.Reel;
import dobbin.reel.Still;

/** Lays something behind all frames, or nothing. */
public record SetBackdrop(Backdrop backdrop) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return reel.withBackdrop(backdrop);
    }

    @Override
    public String title(Reel reel) {
        return backdrop instanceof Still still ? "Lay “" + still.name() + "” behind all" : "Change the backdrop";
    }
}
