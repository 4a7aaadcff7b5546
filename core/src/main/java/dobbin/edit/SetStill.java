package dobbin.edit;

import dobbin.reel.Reel;
import dobbin.reel.Sharing;

/** @param frame the id of the frame that stands for the loop where nothing may move; 0 for the first one */
public record SetStill(int frame) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        if (frame != Sharing.FIRST && reel.frames().stream().noneMatch(each -> each.id() == frame)) {
            throw new EditRejected("frame", "must be one of this reel");
        }
        return reel.withSharing(new Sharing(reel.sharing().alt(), frame));
    }

    @Override
    public String title(Reel reel) {
        return "Choose the still that stands for it";
    }
}
