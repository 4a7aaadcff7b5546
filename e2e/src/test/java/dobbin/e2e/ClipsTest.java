package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import dobbin.raster.Raster;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A clip becomes frames: those that were asked for, each with its time. The clips show the number of each picture as bars. */
@Tag("alone")
class ClipsTest extends BrowserTest {
    private static final int BITS = 8;

    /** A frame of the reel: the number in its picture, and its delay in ms. */
    private record Shown(int number, int delay) {}

    private void drop(RecordedClip clip) {
        sheet.choose(clip.named("Crossing.webm"));
        assertThat(result()).containsText("frames");
    }

    private Locator result() {
        return page.locator("[data-test=clip-result]");
    }

    private void type(String field, String value) {
        Locator input = page.getByRole(
                AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(field).setExact(true));
        input.fill(value);
        input.press("Enter");
    }

    /** Brings in what is chosen, as many frames as were foretold. */
    private List<Shown> broughtIn() throws Exception {
        assertThat(sheet.button("Bring in frames")).isEnabled();
        Matcher foretold = Pattern.compile("(\\d+) frames?, a loop of .*").matcher(result().textContent());
        assertThat(foretold.matches()).isTrue();
        sheet.button("Bring in frames").click();
        int count = Integer.parseInt(foretold.group(1));
        assertThat(sheet.cards()).hasCount(count);
        List<Raster> pictures = new Easel(page).drawings();
        List<?> delays = (List<?>) page.evaluate(
                "async (id) => (await (await fetch('/api/reels/' + id)).json()).frames.map(frame => frame.delayMillis)",
                new Easel(page).reel());
        return IntStream.range(0, count)
                .mapToObj(i -> new Shown(number(pictures.get(i)), ((Number) delays.get(i)).intValue()))
                .toList();
    }

    private static int number(Raster picture) {
        return IntStream.range(0, BITS)
                .filter(bit -> {
                    int x = (2 * bit + 1) * picture.width() / (2 * BITS);
                    return (picture.argb()[picture.width() * (picture.height() / 12) + x] & 0xFF) > 128;
                })
                .map(bit -> 1 << bit)
                .sum();
    }

    private static List<Integer> numbers(List<Shown> frames) {
        return frames.stream().map(Shown::number).toList();
    }

    @Test
    void everyPictureComesInOnceWithTheTimeItShows() throws Exception {
        List<Integer> waits =
                Stream.of(60, 60, 400, 60, 180, 60, 60, 250, 60, 120, 60, 60).toList();
        RecordedClip clip = RecordedClip.of(page, waits);
        drop(clip);
        type("Every n-th", "1");
        assertThat(result()).containsText("160 × 96");
        List<Shown> frames = broughtIn();
        assertThat(numbers(frames)).hasSizeGreaterThan(8).isSorted().doesNotHaveDuplicates();
        for (int i = 0; i + 1 < frames.size(); i++) {
            double shown = clip.times().get(frames.get(i + 1).number())
                    - clip.times().get(frames.get(i).number());
            assertThat((double) frames.get(i).delay())
                    .as("picture %d", frames.get(i).number())
                    .isCloseTo(shown, within(60.0));
        }
    }

    @Test
    void aStretchIsSetToThePictureByKeysAndEverySecondIsTaken() throws Exception {
        RecordedClip clip = RecordedClip.even(page, 30);
        drop(clip);
        type("Every n-th", "1");
        List<Integer> all = numbers(broughtIn());

        page.goBack();
        drop(clip);
        type("Every n-th", "2");
        Locator begin = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Begin at"));
        Locator end = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("End at"));
        String atFirst = begin.getAttribute("aria-valuenow");
        for (int i = 0; i < 3; i++) {
            begin.press("ArrowRight");
            assertThat(begin).not().hasAttribute("aria-valuenow", atFirst);
            atFirst = begin.getAttribute("aria-valuenow");
        }
        String atLast = end.getAttribute("aria-valuenow");
        end.press("ArrowLeft");
        assertThat(end).not().hasAttribute("aria-valuenow", atLast);
        int chosen = (all.size() - 3) / 2;
        List<Integer> wanted =
                IntStream.range(0, chosen).mapToObj(i -> all.get(3 + 2 * i)).toList();
        assertThat(numbers(broughtIn())).isEqualTo(wanted);
        sheet.awaitUndo("Add " + chosen + " stills");
    }

    /** The server's answer to a choice comes when the next choice was made, and before that one is asked about. */
    @Test
    void anAnswerToAnEarlierChoiceIsNotTakenForThatOfThis() throws Exception {
        drop(RecordedClip.even(page, 30));
        type("Every n-th", "1");
        assertThat(sheet.button("Bring in frames")).isEnabled();
        String all = result().textContent();
        List<Route> held = new ArrayList<>();
        page.route("**/api/clips/picks", held::add);
        page.clock().install();
        type("Every n-th", "2");
        page.clock().runFor(100);
        page.waitForCondition(() -> held.size() == 1);
        type("Every n-th", "5");
        page.waitForResponse("**/api/clips/picks", held.get(0)::resume).finished();
        page.clock().runFor(0);
        assertThat(sheet.button("Bring in frames")).isDisabled();
        page.unroute("**/api/clips/picks");
        page.clock().runFor(100);
        assertThat(sheet.button("Bring in frames")).isEnabled();
        assertThat(result()).not().hasText(all);
        assertThat(broughtIn()).hasSizeLessThanOrEqualTo(30 / 5 + 1);
    }

    @Test
    void soManyASecondAtASmallerWidthKeepTheLength() throws Exception {
        RecordedClip clip = RecordedClip.even(page, 34);
        drop(clip);
        type("End at", "1.5");
        type("A second", "5");
        type("Width", "80");
        assertThat(result()).containsText("80 × 48");
        // Which pictures these are is the server's to say, a moment later.
        assertThat(result()).containsText("8 frames, a loop of");
        List<Shown> frames = broughtIn();
        assertThat(frames).hasSize(8);
        assertThat(numbers(frames)).isSorted().doesNotHaveDuplicates();
        assertThat(frames.stream().mapToInt(Shown::delay).sum()).isCloseTo(1500, within(70));
    }

    @Test
    void whereItLoopsIsFound() throws Exception {
        drop(RecordedClip.repeating(page, 40, 12));
        type("Every n-th", "1");
        sheet.button("Find where it loops").click();
        assertThat(page.getByText(Pattern.compile("it loops smoothly"))).isVisible();
        List<Integer> numbers = numbers(broughtIn());
        assertThat(numbers).hasSizeBetween(12, 39);
        assertThat((numbers.get(numbers.size() - 1) + 1) % 12).isEqualTo(numbers.get(0));
    }

    @Test
    void aBrowserWithoutADecoderForProgramsReadsItThroughItsPlayer() throws Exception {
        page.addInitScript("delete window.VideoDecoder");
        page.reload();
        RecordedClip clip = RecordedClip.even(page, 20);
        drop(clip);
        type("A second", "8");
        List<Integer> numbers = numbers(broughtIn());
        assertThat(numbers).hasSizeGreaterThan(6).isSorted();
        for (int i = 0; i < numbers.size(); i++) {
            // A recorder on a busy machine begins late and stalls; what it missed it shows for longer.
            assertThat(clip.shownAt(125 * i, 150)).as("frame %d", i).contains(numbers.get(i));
        }
    }

    @Test
    void whatIsNoClipSaysSoAndCancelLeavesNothing() throws Exception {
        sheet.choose(new FilePayload("Storm.webm", "video/webm", new byte[2000]));
        assertThat(page.getByText("“Storm.webm” is a clip this browser cannot play. Save it as MP4 or WebM first."))
                .isVisible();
        sheet.button("Cancel").click();
        assertThat(page.locator(".v-dialog .v-card")).hasCount(0);
        drop(RecordedClip.even(page, 10));
        type("A second", "900");
        assertThat(page.getByText("A number from 0.1 to 50")).isVisible();
        sheet.button("Cancel").click();
        assertThat(page.locator(".v-dialog .v-card")).hasCount(0);
        assertThat(sheet.cards()).hasCount(0);
    }

    /** The server is out of reach for one picture in the middle, while others are on their way. */
    @Test
    void whatWasNotReceivedIsSaidAndBroughtInAgainInItsPlace() throws Exception {
        AtomicInteger sent = new AtomicInteger();
        page.route("**/api/pictures*", route -> {
            if (sent.incrementAndGet() == 4) {
                route.abort();
            } else {
                route.resume();
            }
        });
        drop(RecordedClip.even(page, 14));
        type("Every n-th", "1");
        assertThat(sheet.button("Bring in frames")).isEnabled();
        int count = Integer.parseInt(result().textContent().replaceAll(" frames.*", ""));
        sheet.button("Bring in frames").click();
        String said = page.getByText(Pattern.compile("frames of " + count + " are not in the reel\\."))
                .textContent();
        int missing = Integer.parseInt(said.replaceAll(".*?(\\d+) frames of .*", "$1"));
        assertThat(missing).isPositive();
        assertThat(sheet.cards()).hasCount(count - missing);
        sheet.button("Try it again").click();
        assertThat(sheet.cards()).hasCount(count);
        List<Integer> numbers =
                new Easel(page).drawings().stream().map(ClipsTest::number).toList();
        assertThat(numbers).isSorted().doesNotHaveDuplicates();
    }
}
