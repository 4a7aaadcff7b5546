package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.MoveFrames;
import dobbin.edit.NewStill;
import dobbin.edit.SetDelivery;
import dobbin.gif.StoredFrame;
import dobbin.palette.ColorCloud;
import dobbin.palette.Palette;
import dobbin.raster.Memory;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.skerry.SkerryPoint;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

/** What is remembered is never seen in the file, only in the time it takes. */
class SlimMemoryTest {
    private static final Size SIZE = new Size(96, 64);
    private static final List<Raster> SUNRISE = SkerryPoint.sunrise(8, SIZE);
    private static final Drawing DRAWING = (reel, tracks, frame, size) ->
            SUNRISE.get(Integer.parseInt(((Still) frame.content()).picture().substring(56), 16));

    private final All memory = new All();
    private final Slim remembering = new Slim(Runnable::run, Stages.UNTOLD, memory);

    /** Remembers all, and what was worked out anew. */
    private static final class All implements Memory {
        private final Map<Object, Map<Object, Object>> known = new IdentityHashMap<>();
        private final List<Object> worked = new ArrayList<>();

        @Override
        @SuppressWarnings("unchecked")
        public <V> V of(Object picture, Object terms, Supplier<V> work) {
            Map<Object, Object> ofPicture = known.computeIfAbsent(picture, any -> new HashMap<>());
            if (!ofPicture.containsKey(terms)) {
                ofPicture.put(terms, work.get());
                worked.add(ofPicture.get(terms));
            }
            return (V) ofPicture.get(terms);
        }

        long worked(Class<?> kind) {
            return worked.stream().filter(kind::isInstance).count();
        }
    }

    private static Reel reel() {
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < SUNRISE.size(); i++) {
            stills.add(new NewStill(String.format("%064x", i), "Sunrise " + i, SIZE, 40));
        }
        return Edit.apply(new AddStills(stills, 0), Reel.empty("Memory"));
    }

    private void encodesAsIfNothingWasRemembered(Reel reel) {
        memory.worked.clear();
        byte[] remembered = Slim.file(remembering.encode(reel, DRAWING, Progress.NONE), reel)
                .bytes();
        byte[] anew = Slim.file(new Slim(Runnable::run).encode(reel, DRAWING, Progress.NONE), reel)
                .bytes();
        assertThat(remembered).isEqualTo(anew);
    }

    @Test
    void aMovedFrameIsAllThatIsCodedAgain() {
        Reel reel = reel();
        encodesAsIfNothingWasRemembered(reel);
        assertThat(memory.worked(ColorCloud.class)).isEqualTo(SUNRISE.size() + 1);
        assertThat(memory.worked(StoredFrame.class)).isEqualTo(SUNRISE.size());

        for (int moved : new int[] {2, 0}) {
            encodesAsIfNothingWasRemembered(Edit.apply(
                    new MoveFrames(
                            List.of(reel.frames().get(moved).id()),
                            reel.frames().get(5).id()),
                    reel));
            assertThat(memory.worked(ColorCloud.class)).isZero();
            assertThat(memory.worked(Palette.class)).isZero();
            assertThat(memory.worked(StoredFrame.class)).isLessThanOrEqualTo(4);
        }
    }

    @Test
    void otherColorsAreCodedAgainButNotCountedAgain() {
        Reel reel = reel();
        encodesAsIfNothingWasRemembered(reel);
        Delivery usual = reel.delivery();
        encodesAsIfNothingWasRemembered(Edit.apply(new SetDelivery(usual.withColors(40)), reel));
        assertThat(memory.worked(ColorCloud.class)).isZero();
        assertThat(memory.worked(StoredFrame.class)).isEqualTo(SUNRISE.size());

        encodesAsIfNothingWasRemembered(reel);
        assertThat(memory.worked).isEmpty();
    }
}
