package dobbin.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * A clip that the browser recorded of a canvas. Its pictures show their number as eight bars, the lowest bit on the left.
 *
 * @param times when the pictures were drawn, in ms
 */
record RecordedClip(byte[] file, List<Double> times) {
    private static final int ALL_DIFFERENT = 256;
    private static final int PACE_MILLIS = 60;

    /** @param waits how long each picture shows, in ms */
    static RecordedClip of(Page page, List<Integer> waits) {
        return of(page, waits, ALL_DIFFERENT);
    }

    static RecordedClip even(Page page, int count) {
        return repeating(page, count, ALL_DIFFERENT);
    }

    /** @param around after how many pictures all repeats */
    static RecordedClip repeating(Page page, int count, int around) {
        return of(page, Collections.nCopies(count, PACE_MILLIS), around);
    }

    @SuppressWarnings("unchecked")
    private static RecordedClip of(Page page, List<Integer> waits, int around) {
        try (InputStream in = RecordedClip.class.getResourceAsStream("clip.js")) {
            String script = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            Map<String, Object> made = (Map<String, Object>)
                    page.evaluate(script.substring(script.indexOf("async")), Map.of("waits", waits, "around", around));
            List<Double> times = ((List<Number>) made.get("times"))
                    .stream().map(Number::doubleValue).toList();
            return new RecordedClip(Base64.getDecoder().decode((String) made.get("file")), times);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @return the numbers of the pictures that show within so many milliseconds of a moment of the clip */
    List<Integer> shownAt(int millis, int within) {
        return IntStream.range(0, times.size())
                .filter(i -> times.get(i) - times.get(0) <= millis + within)
                .filter(i -> i + 1 == times.size() || times.get(i + 1) - times.get(0) >= millis - within)
                .boxed()
                .toList();
    }

    FilePayload named(String name) {
        return new FilePayload(name, "video/webm", file);
    }
}
