package dobbin.edit;

import dobbin.reel.Light;
import dobbin.reel.Reel;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Changes the light of stills, or gives them back their own. */
public record LightStills(List<Lit> stills) implements Edit {
    /** @param frame that shows the still alone, and not a card or a fade */
    public record Lit(int frame, Light light) {
        public Lit {
            if (light == null) {
                throw new EditRejected("light", "must be given");
            }
        }
    }

    public LightStills {
        stills = List.copyOf(stills);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Map<Integer, Light> lights =
                stills.stream().collect(Collectors.toMap(Lit::frame, Lit::light, (first, last) -> last));
        return reel.withFrames(Chosen.of(reel, frames())
                .each(frame -> frame.withContent(Chosen.still(frame).withLight(lights.get(frame.id())))));
    }

    @Override
    public String title(Reel reel) {
        String frames = Chosen.words(reel, frames());
        return stills.stream().allMatch(each -> each.light().none())
                ? "Give " + frames + " back the light of the photo"
                : "Even the light of " + frames;
    }

    private List<Integer> frames() {
        return stills.stream().map(Lit::frame).toList();
    }
}
