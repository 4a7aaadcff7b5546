package dobbin.server.renders;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.inspect.Change;
import dobbin.inspect.Rhythm;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Looks;
import dobbin.render.Pictures;
import dobbin.render.Renderer;
import java.util.List;
import org.springframework.stereotype.Service;

/** Compares neighbors on small drawings; what was compared once is remembered, since pictures do not change. */
@Service
class Rhythms {
    private static final int SMALL_SIDE = 96;
    private static final int REMEMBERED = 20_000;

    private final Pictures pictures;
    private final Cache<String, Double> changes =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Cache<String, Raster> small =
            Caffeine.newBuilder().maximumSize(REMEMBERED / 20).build();

    Rhythms(Pictures pictures) {
        this.pictures = pictures;
    }

    Rhythm of(Reel reel) {
        List<Frame> frames = reel.frames();
        double[] steps = new double[frames.size()];
        for (int i = 0; i < steps.length; i++) {
            Frame before = frames.get(i == 0 ? steps.length - 1 : i - 1);
            steps[i] = change(reel, before, frames.get(i));
        }
        return Rhythm.of(steps);
    }

    private double change(Reel reel, Frame before, Frame frame) {
        String from = Looks.of(reel, before);
        String to = Looks.of(reel, frame);
        return from.equals(to)
                ? 0
                : changes.get(
                        from + ' ' + to, missing -> Change.between(small(reel, before, from), small(reel, frame, to)));
    }

    private Raster small(Reel reel, Frame frame, String key) {
        Size size = reel.canvas().reducedTo(SMALL_SIDE);
        return small.get(key, missing -> Renderer.draw(reel, frame, pictures, size));
    }
}
