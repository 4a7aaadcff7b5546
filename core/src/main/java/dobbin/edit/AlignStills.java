package dobbin.edit;

import dobbin.reel.Aligned;
import dobbin.reel.Reel;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Moves stills to lie on one another, or back to where they lay. */
public record AlignStills(List<Moved> stills) implements Edit {
    /** @param frame that shows the still alone, and not a card or a fade */
    public record Moved(int frame, Aligned aligned) {
        public Moved {
            if (aligned == null) {
                throw new EditRejected("aligned", "must be given");
            }
        }
    }

    public AlignStills {
        stills = List.copyOf(stills);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Map<Integer, Aligned> moves =
                stills.stream().collect(Collectors.toMap(Moved::frame, Moved::aligned, (first, last) -> last));
        return reel.withFrames(Chosen.of(reel, frames())
                .each(frame -> frame.withContent(Chosen.still(frame).withAligned(moves.get(frame.id())))));
    }

    @Override
    public String title(Reel reel) {
        String frames = Chosen.words(reel, frames());
        return stills.stream().allMatch(each -> each.aligned().none())
                ? "Lay " + frames + " back as it was"
                : "Line up " + frames;
    }

    private List<Integer> frames() {
        return stills.stream().map(Moved::frame).toList();
    }
}
