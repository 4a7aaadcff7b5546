package dobbin.server.clips;

import dobbin.edit.EditRejected;
import dobbin.inspect.InspectedFrames;
import dobbin.inspect.LoopFinder;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import dobbin.timing.Picks;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Settles which pictures of a clip become frames before any of them is read. */
@RestController
class ClipController {
    private static final long MICROS_IN_SECOND = 1_000_000;
    private static final int MAX_PICTURES = 100_000;
    private static final int MAX_SECONDS = 300;

    /** Comparing all pairs of more would take too long for an answer. */
    private static final int MAX_COMPARED = 600;

    /**
     * @param times when each picture of the clip begins to show, in microseconds, ascending
     * @param fromMicros where the stretch begins, and {@code toMicros} where it ends, which is not part of it
     * @param perSecond so many pictures a second, or 0 for every n-th
     * @param every every n-th picture, or 0 for so many a second
     */
    record PicksRequest(
            @jakarta.validation.constraints.Size(min = 1, max = MAX_PICTURES)
            List<Long> times,

            long fromMicros,
            long toMicros,

            @Min(0) @Max(50) double perSecond,

            @Min(0) @Max(100) int every) {}

    /** The shape of {@link Picks}. */
    record PicksView(int[] places, int[] delaysMillis, int totalMillis) {}

    /** @param to of the stretch's last picture and one more; both 0 where no stretch loops well */
    record LoopView(int from, int to) {}

    @PostMapping("/api/clips/picks")
    PicksView picks(@RequestBody PicksRequest wanted) {
        Ranges.check(PicksRequest.class, "times", wanted.times().size());
        Ranges.checkAmount(PicksRequest.class, "perSecond", wanted.perSecond());
        Ranges.check(PicksRequest.class, "every", wanted.every());
        if ((wanted.perSecond() == 0) == (wanted.every() == 0)) {
            throw new OutOfRange("every", "or perSecond must be given, one of them");
        }
        long length = wanted.toMicros() - wanted.fromMicros();
        if (wanted.fromMicros() < 0 || length <= 0 || length > MAX_SECONDS * MICROS_IN_SECOND) {
            throw new EditRejected("The stretch", "must be more than 0 and at most " + MAX_SECONDS + " seconds long");
        }
        long[] times = wanted.times().stream().mapToLong(Long::longValue).toArray();
        if (IntStream.range(1, times.length).anyMatch(i -> times[i] < times[i - 1])) {
            throw new OutOfRange("times", "must ascend");
        }
        Picks picks = wanted.every() > 0
                ? Picks.everyNth(times, wanted.fromMicros(), wanted.toMicros(), wanted.every())
                : Picks.perSecond(times, wanted.fromMicros(), wanted.toMicros(), wanted.perSecond());
        return new PicksView(picks.places(), picks.delaysMillis(), picks.totalMillis());
    }

    /** The body is a PNG that holds the pictures one under another, {@code height} pixels each. */
    @PostMapping(path = "/api/clips/loop", consumes = "application/octet-stream")
    LoopView loop(@RequestParam int height, HttpServletRequest request) throws IOException {
        Ranges.check("height", height, 1, InspectedFrames.COARSE_SIDE);
        int mostPixels = InspectedFrames.COARSE_SIDE * InspectedFrames.COARSE_SIDE * MAX_COMPARED;
        try {
            byte[] file = request.getInputStream().readNBytes(Integer.BYTES * mostPixels);
            Raster strip = StillReader.readWhole(
                    file, new DecodeLimits(mostPixels, 1, Math.max(1, file.length)), Checkpoint.NONE);
            return LoopFinder.best(pictures(strip, height))
                    .map(found -> new LoopView(found.from(), found.to()))
                    .orElse(new LoopView(0, 0));
        } catch (UnreadablePicture e) {
            throw new EditRejected("The strip of pictures", e.getMessage(), e);
        }
    }

    private static List<Raster> pictures(Raster strip, int height) {
        int area = strip.width() * height;
        return IntStream.range(0, strip.height() / height)
                .mapToObj(i -> Raster.of(
                        new Size(strip.width(), height), Arrays.copyOfRange(strip.argb(), i * area, (i + 1) * area)))
                .toList();
    }
}
