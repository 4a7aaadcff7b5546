package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.BoundingBox;
import dobbin.raster.Raster;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is seen while one draws, and that nothing of it is lost. */
class UnderTheHandTest extends BrowserTest {
    /** Remembers the pixels of the ink that is shown, under a name. */
    private static final String REMEMBER = """
            (name) => {
              const canvas = document.querySelector('[data-test=ink]')
              window[name] = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data
            }""";
    /** How many pixels changed from `without` to `told`, and on how many `under` is off by more than 8 levels on any page. */
    private static final String JUMPS = """
            () => {
              const light = (data, at, channel) => channel === 3 ? data[at + 3] : data[at + channel] * data[at + 3] / 255
              const some = (at, test) => [0, 1, 2, 3].some((channel) => test(at, channel))
              let changed = 0, off = 0
              for (let at = 0; at < told.length; at += 4) {
                changed += some(at, (a, c) => told[a + c] !== without[a + c])
                off += some(at, (a, c) => Math.abs(light(told, a, c) - light(under, a, c)) > 8)
              }
              return [changed, off]
            }""";

    /** Notes, at each move of the pointer, whether there is ink under it once the next animation frame is drawn. */
    private static final String WATCH = """
            () => {
              window.seen = []
              const canvas = document.querySelector('[data-test=ink]')
              addEventListener('pointermove', ({ clientX, clientY }) => {
                requestAnimationFrame(() => setTimeout(() => {
                  const box = canvas.getBoundingClientRect()
                  const scale = canvas.width / box.width
                  const pixel = canvas.getContext('2d').getImageData((clientX - box.left) * scale, (clientY - box.top) * scale, 1, 1)
                  window.seen.push(pixel.data[3] > 0)
                }))
              }, { capture: true })
            }""";

    private Easel easel;

    @BeforeEach
    void open() {
        easel = new Easel(page);
    }

    @ParameterizedTest
    @ValueSource(strings = {"1", "2", "3", "4", "5"})
    void whatIsShownUnderTheHandIsWhatTheServerDraws(String pen) {
        easel.newReel("480 × 320");
        page.keyboard().press("2");
        easel.drawn(100, 60, 380, 80);
        page.keyboard().press(pen);
        String before = easel.inkCanvas().getAttribute("data-ink");
        page.evaluate(REMEMBER, "without");
        easel.stroke(90, 40, 180, 200, 240, 60, 330, 260, 400, 100);
        page.evaluate(REMEMBER, "under");
        easel.awaitOtherInk(before);
        page.evaluate(REMEMBER, "told");
        List<?> jumps = (List<?>) page.evaluate(JUMPS);
        int ofStroke = ((Number) jumps.get(0)).intValue();
        assertThat(ofStroke).isGreaterThan(100);
        assertThat(((Number) jumps.get(1)).intValue())
                .as("pixels of %d that jump", ofStroke)
                .isLessThanOrEqualTo(ofStroke / 50);
    }

    @Test
    void aStrokeIsSeenInTheNextAnimationFrameThoughTheServerIsSilent() {
        easel.newReel("480 × 320");
        page.keyboard().press("5");
        page.route("**/marks", route -> {});
        easel.stroke(60, 60, 120, 60);
        easel.moveTo(100, 200, 1);
        page.mouse().down();
        page.evaluate(WATCH);
        for (int x = 110; x <= 400; x += 10) {
            easel.moveTo(x, 200, 1);
        }
        page.waitForCondition(() -> ((List<?>) page.evaluate("() => window.seen")).size() == 30);
        page.mouse().up();
        assertThat((List<?>) page.evaluate("() => window.seen")).allMatch(Boolean.TRUE::equals);
    }

    @Test
    void oneFingerDrawsAndTwoMoveAndEnlargeThePage() throws Exception {
        easel.newReel("480 × 320");
        Fingers fingers = new Fingers(page);
        BoundingBox box = easel.inkCanvas().boundingBox();
        double x = box.x + 100;
        double y = box.y + 60;
        fingers.down(x, y);
        fingers.move(x + 30, y + 20);
        fingers.move(x + 60, y + 40);
        fingers.up();
        sheet.awaitUndo("Draw on frame 1");
        Raster drawn = easel.drawings().get(0);
        assertThat(Inked.count(drawn)).isPositive();

        fingers.down(x, y);
        fingers.down(x, y, x + 100, y);
        fingers.move(x - 50, y + 30, x + 150, y + 30);
        fingers.up();
        BoundingBox larger = easel.inkCanvas().boundingBox();
        assertThat(larger.width / box.width).isBetween(1.9, 2.1);
        assertThat(easel.drawings()).containsExactly(drawn);
    }

    @Test
    void twentyStrokesInASecondAreAllKept() {
        easel.newReel("64 × 64");
        page.keyboard().press("5");
        for (int i = 0; i < 20; i++) {
            double x = 1.5 + 3 * i;
            easel.moveTo(x, 10.5, 1);
            page.mouse().down();
            easel.moveTo(x, 12.5, 1);
            page.mouse().up();
        }
        page.waitForCondition(() -> easel.count() == 60);
    }

    @Test
    void aMarkThatCouldNotBeSavedIsTriedAgain() {
        easel.newReel("64 × 64");
        page.keyboard().press("5");
        page.route("**/marks", route -> route.abort());
        easel.stroke(10.5, 10.5, 20.5, 10.5);
        assertThat(page.getByText("One mark is not saved.")).isVisible();
        page.unroute("**/marks");
        sheet.button("Try again").click();
        sheet.awaitUndo("Draw on frame 1");
        assertThat(page.getByText("One mark is not saved.")).hasCount(0);
        page.waitForCondition(() -> easel.count() == 11);
        visit.browser().complaints().clear();
    }
}
