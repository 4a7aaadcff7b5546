package dobbin.server.renders;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.inspect.Inspection;
import dobbin.inspect.Sample;
import dobbin.inspect.Sight;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.render.Looks;
import dobbin.render.Pictures;
import dobbin.render.Renderer;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;

/** Looks reels over, on small drawings that are remembered since what they are made of does not change. */
@Service
class Sights {
    private static final int COARSE_REMEMBERED = 4_000;
    private static final int FINE_REMEMBERED = 16;
    private static final int CHANGES_REMEMBERED = 20_000;
    private static final int INSPECTIONS_REMEMBERED = 50;

    private final Pictures pictures;
    private final Cache<String, Sample> coarse = cache(COARSE_REMEMBERED);
    private final Cache<String, Sample> fine = cache(FINE_REMEMBERED);
    private final Cache<String, Double> changes = cache(CHANGES_REMEMBERED);
    private final Cache<String, Inspection> inspections = cache(INSPECTIONS_REMEMBERED);

    Sights(Pictures pictures) {
        this.pictures = pictures;
    }

    Inspection inspect(String id, int revision, Reel reel) {
        return inspections.get(id + ' ' + revision, missing -> Inspection.of(reel, new ReelSight(reel)));
    }

    private static <V> Cache<String, V> cache(int size) {
        return Caffeine.newBuilder().maximumSize(size).build();
    }

    private final class ReelSight implements Sight {
        private final Reel reel;
        private final Tracks tracks;
        private final Map<Integer, String> looks = new ConcurrentHashMap<>();

        ReelSight(Reel reel) {
            this.reel = reel;
            this.tracks = new Tracks(reel.frames());
        }

        private String look(Frame frame) {
            return looks.computeIfAbsent(frame.id(), id -> Looks.of(reel, tracks, frame));
        }

        @Override
        public Sample coarse(Frame frame) {
            return coarse.get(look(frame), missing -> sample(frame, COARSE_SIDE));
        }

        @Override
        public Sample fine(Frame frame) {
            return fine.get(look(frame), missing -> sample(frame, FINE_SIDE));
        }

        @Override
        public boolean same(Frame a, Frame b) {
            return look(a).equals(look(b));
        }

        @Override
        public double change(Frame a, Frame b) {
            String pair = look(a) + ' ' + look(b);
            return same(a, b) ? 0 : changes.get(pair, missing -> Sight.super.change(a, b));
        }

        private Sample sample(Frame frame, int side) {
            Size size = reel.canvas().reducedTo(side);
            return Sample.of(Renderer.draw(reel, frame, pictures, size));
        }
    }
}
