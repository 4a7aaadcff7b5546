package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.List;

/**
 * Puts in frames that were copied in any reel.
 *
 * @param after the frame they go after; 0 for before all
 */
public record PasteFrames(List<Pasted> frames, int after) implements Edit {
    public PasteFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        if (frames.isEmpty()) {
            throw new EditRejected("frames", "must hold at least one frame");
        }
        Reel settled = reel.frames().isEmpty() ? Canvases.settledBy(reel, Canvases.sizesOf(contents())) : reel;
        List<Frame> added = frames.stream()
                .map(each -> Frame.of(reel.nextId(), each.delayMillis(), each.content())
                        .withInk(each.ink()))
                .toList();
        return Gap.insert(settled, Gap.index(reel, after), added);
    }

    @Override
    public String title(Reel reel) {
        return frames.size() == 1 ? "Paste a frame" : "Paste " + frames.size() + " frames";
    }

    private List<dobbin.reel.FrameContent> contents() {
        return frames.stream().map(Pasted::content).toList();
    }
}
