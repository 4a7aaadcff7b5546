package dobbin.slim;

import dobbin.gif.EncodedFrame;
import dobbin.reel.Delivery;
import dobbin.reel.Reel;
import dobbin.slim.Original.Looked;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/** Tries settings on one loop. What is seen of the drawn loop is kept between them. For any number of threads. */
public final class Trials {
    /** A trial on some frames takes so many runs of so many frames that follow one another. */
    private static final int RUNS = 2;

    private static final int RUN_LENGTH = 3;
    /** Enough of a loop to know its error within a few percent. */
    private static final int FRAMES_LOOKED_AT = 6;
    /** A few more than are encoded at a time. */
    private static final int LATEST = 9;

    private static final long MOST_REMEMBERED_BYTES = 64_000_000;

    private final Slim slim;
    private final Admission admission;
    private final Reel reel;
    private final Drawing drawing;
    private final Original original;
    private final Map<Delivery, Trial> whole = new ConcurrentHashMap<>();
    private final Map<Delivery, Trial> some = new ConcurrentHashMap<>();
    private final Map<Delivery, Encoded> latest = Collections.synchronizedMap(new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Delivery, Encoded> eldest) {
            return size() > LATEST;
        }
    });

    /** Where work waits until there is memory for it. */
    public interface Admission {
        Admission FREE = new Admission() {
            @Override
            public <T> T during(Reel reel, Progress progress, Supplier<T> work) {
                return work.get();
            }

            @Override
            public <T> T toLook(Reel reel, Progress progress, Supplier<T> work) {
                return work.get();
            }

            @Override
            public long mostKept() {
                return MOST_REMEMBERED_BYTES;
            }
        };

        /** Waits for the memory that encoding takes. @param reel that is encoded, with its settings */
        <T> T during(Reel reel, Progress progress, Supplier<T> work);

        /** Waits for the memory that comparing takes. @param reel whose frames are compared with those delivered at its settings, two at a time */
        <T> T toLook(Reel reel, Progress progress, Supplier<T> work);

        /** @return how many bytes may be kept of drawn frames to compare with, between trials */
        long mostKept();
    }

    public Trials(Slim slim, Reel reel, Drawing drawing, Executor executor) {
        this(slim, Admission.FREE, reel, drawing, executor);
    }

    public Trials(Slim slim, Admission admission, Reel reel, Drawing drawing, Executor executor) {
        this.slim = slim;
        this.admission = admission;
        this.reel = reel;
        this.drawing = drawing;
        this.original = new Original(reel, drawing, Math.min(MOST_REMEMBERED_BYTES, admission.mostKept()), executor);
    }

    public Reel reel() {
        return reel;
    }

    /** Takes a trial that was made before of this loop. */
    public void know(Trial trial) {
        whole.put(trial.delivery(), trial);
    }

    public boolean knows(Delivery delivery) {
        return whole.containsKey(delivery);
    }

    /** @return what the file weighs and how it looks, after encoding all of it unless that is known */
    public Trial whole(Delivery delivery, Progress progress) {
        Trial known = whole.get(delivery);
        if (known != null) {
            return known;
        }
        Encoded encoded = encode(delivery, progress);
        Trial trial = trial(delivery, encoded, progress);
        whole.put(delivery, trial);
        latest.put(delivery, encoded);
        return trial;
    }

    /** @return the file itself */
    public Encoded encode(Delivery delivery, Progress progress) {
        Reel with = reel.withDelivery(delivery);
        return admission.during(with, progress, () -> slim.encode(with, drawing, progress));
    }

    /** @return what was encoded for one of the latest trials, once */
    public Optional<Encoded> last(Delivery delivery) {
        return Optional.ofNullable(latest.remove(delivery));
    }

    /** @return the trial that {@code encoded} of that setting amounts to */
    public Trial trial(Delivery delivery, Encoded encoded, Progress progress) {
        int bytes = Slim.file(encoded, reel.withDelivery(delivery)).bytes().length;
        Appearance looks = admission.toLook(
                reel.withDelivery(delivery),
                progress,
                () -> original.compare(encoded, delivery.framing().every(), FRAMES_LOOKED_AT, progress));
        return new Trial(delivery, bytes, looks);
    }

    /** @return about the same from a few frames: their palettes are those of the loop */
    Trial some(Delivery delivery, Progress progress) {
        Trial known = some.get(delivery);
        if (known != null) {
            return known;
        }
        Trial trial = tried(delivery, progress);
        some.put(delivery, trial);
        return trial;
    }

    private Trial tried(Delivery delivery, Progress progress) {
        Reel with = reel.withDelivery(delivery);
        int delivered = with.deliveredFrames().size();
        if (delivered <= RUNS * (RUN_LENGTH + 1)) {
            return whole(delivery, progress);
        }
        List<Integer> places = places(delivered);
        Encoded encoded = admission.during(with, progress, () -> slim.encode(with, places, drawing, progress));
        int every = delivery.framing().every();
        List<Looked> looked = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            // Of those that are passed over, the last differs most, and the first is the frame itself.
            int first = places.get(i) * every;
            int last = Math.min(first + every, reel.loop().size()) - 1;
            looked.add(new Looked(first, i, 1));
            if (last > first) {
                looked.add(new Looked(last, i, every - 1));
            }
        }
        Appearance looks = admission.toLook(with, progress, () -> original.compare(encoded, looked, progress));
        return new Trial(delivery, bytes(encoded, places, delivered), looks);
    }

    /** The first frame is whole; what the others take stands for all that follow. */
    private static int bytes(Encoded encoded, List<Integer> places, int delivered) {
        int[] ofPlace = new int[places.size()];
        for (EncodedFrame frame : encoded.stored()) {
            ofPlace[frame.first()] = frame.stored().bytes();
        }
        double following = IntStream.range(0, ofPlace.length)
                .filter(i -> i % RUN_LENGTH != 0)
                .mapToDouble(i -> ofPlace[i])
                .average()
                .orElse(0);
        int palette = 3 << encoded.settings().palette().bits();
        return (int) (palette + ofPlace[0] + following * (delivered - 1));
    }

    private static List<Integer> places(int delivered) {
        int[] places = new int[RUNS * RUN_LENGTH];
        for (int run = 0; run < RUNS; run++) {
            int start = (2 * run + 1) * delivered / (2 * RUNS) - RUN_LENGTH / 2;
            for (int i = 0; i < RUN_LENGTH; i++) {
                places[run * RUN_LENGTH + i] = start + i;
            }
        }
        return Arrays.stream(places).boxed().toList();
    }
}
