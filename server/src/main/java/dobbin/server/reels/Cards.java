package dobbin.server.reels;

import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.RenderKeys;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The card of each reel on the shelf, stored beside the reel: a shelf of many reels opens without reading their documents. */
@Component
class Cards {
    private final JsonMapper json;

    Cards(JsonMapper json) {
        this.json = json;
    }

    /**
     * @param looks the version of the names below
     * @param frames that play, and {@code millis} how long
     * @param cover names what the frame in the middle looks like, or null where there is none
     * @param preview names what the whole loop looks like, or null where no frames play
     */
    record Card(int looks, String name, int frames, int millis, Size canvas, String cover, String preview) {
        static Card of(ReelSnapshot seen) {
            Reel reel = seen.reel();
            RenderKeys keys = seen.keys();
            List<Frame> loop = reel.loop();
            boolean empty = loop.isEmpty();
            return new Card(
                    RenderKeys.VERSION,
                    reel.name(),
                    loop.size(),
                    Arrays.stream(reel.loopDelaysMillis()).sum(),
                    reel.canvas(),
                    empty ? null : keys.of(loop.get(loop.size() / 2)),
                    empty ? null : keys.ofLoop());
        }
    }

    String write(ReelSnapshot seen) {
        return json.writeValueAsString(Card.of(seen));
    }

    /** @return the card; empty where there is none, or things have other names by now */
    Optional<Card> read(String card) {
        try {
            return Optional.ofNullable(card)
                    .map(it -> json.readValue(it, Card.class))
                    .filter(it -> it.looks == RenderKeys.VERSION);
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }
}
