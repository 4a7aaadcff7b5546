package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What people do to the rhythm, and what they are told about it. */
@Tag("alone")
class TimingTest extends BrowserTest {
    private Locator player;

    @BeforeEach
    void open() {
        sheet.openFive();
        player = page.getByLabel("Player", new Page.GetByLabelOptions().setExact(true));
    }

    private void setDelay(String unit, String value) {
        page.getByLabel("Unit")
                .getByText(unit, new Locator.GetByTextOptions().setExact(true))
                .click();
        Locator field = page.getByLabel("Delay in " + unit);
        field.fill(value);
        field.press("Enter");
    }

    @Test
    void aDelayIsTypedInMillisecondsSecondsOrFramesASecond() {
        sheet.card(1).click();
        setDelay("ms", "60");
        sheet.awaitDelays("60 ms", "100 ms", "100 ms", "100 ms", "100 ms");
        setDelay("s", "1.25");
        sheet.awaitDelays("1.25 s", "100 ms", "100 ms", "100 ms", "100 ms");
        page.keyboard().press("Escape");
        sheet.card(2).click();
        page.getByLabel("Delay in s").press("ArrowUp");
        sheet.awaitDelays("1.25 s", "200 ms", "100 ms", "100 ms", "100 ms");
        sheet.select("None");
        setDelay("frames/s", "24");
        sheet.awaitDelays("42 ms", "42 ms", "42 ms", "42 ms", "42 ms");
        assertThat(page.getByText("in the file: 40 and 50 ms in turn")).isVisible();
        assertThat(sheet.card(1)).containsText("in file −2 ms");
        assertThat(sheet.card(2)).containsText("in file −2 ms");
        assertThat(sheet.card(3)).containsText("in file +8 ms");
    }

    @Test
    void manyDelaysAreMultipliedAddedToAndFitted() {
        sheet.card(1).click();
        setDelay("ms", "300");
        sheet.awaitDelays("300 ms", "100 ms", "100 ms", "100 ms", "100 ms");
        sheet.select("None");
        sheet.button("Twice as fast").click();
        sheet.awaitDelays("150 ms", "50 ms", "50 ms", "50 ms", "50 ms");
        sheet.button("Other changes").click();
        sheet.choose("Fit the total…");
        sheet.answer("Total", "700", "Fit");
        sheet.awaitDelays("300 ms", "100 ms", "100 ms", "100 ms", "100 ms");
        sheet.chooseFrames(2, 3);
        sheet.button("Other changes").click();
        sheet.choose("Add to each…");
        sheet.answer("Add to each", "-30", "Add");
        sheet.awaitDelays("300 ms", "70 ms", "70 ms", "100 ms", "100 ms");
        sheet.awaitUndo("Show 2 frames 30 ms less");
    }

    @Test
    void aFrameIsHeld() {
        sheet.card(5).click();
        sheet.button("2 s").click();
        sheet.awaitDelays("100 ms", "100 ms", "100 ms", "100 ms", "2 s");
        sheet.select("None");
        sheet.assertSelection("5 frames · 2.4 s");
    }

    @Test
    void delaysBrowsersDoNotHonorAreSaidAndMended() {
        sheet.chooseFrames(2, 4);
        setDelay("ms", "10");
        assertThat(sheet.card(2)).containsText("plays 100 ms");
        assertThat(page.getByLabel("Notices")).containsText("Frames 2 and 4 are shorter than 20 ms.");
        sheet.button("Make it 20 ms").click();
        sheet.awaitDelays("100 ms", "20 ms", "100 ms", "20 ms", "100 ms");
        assertThat(page.getByLabel("Notices")).hasCount(0);
    }

    @Test
    void theLoopGoesOnWhileItIsChanged() {
        sheet.button("Play").click();
        sheet.button("Twice as fast").click();
        sheet.awaitUndo("Play 5 frames twice as fast");
        sheet.button("Reverse").click();
        sheet.awaitUndo("Reverse 5 frames");
        assertThat(sheet.button("Pause")).isVisible();
        Locator playhead = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Playhead"));
        String before = playhead.getAttribute("aria-valuenow");
        page.waitForCondition(() -> !before.equals(playhead.getAttribute("aria-valuenow")));
    }

    @Test
    void theLoopKeepsTrueTimeAtEverySpeed() {
        sheet.card(1).click();
        setDelay("ms", "600");
        sheet.awaitDelays("600 ms", "100 ms", "100 ms", "100 ms", "100 ms");
        sheet.button("Play").click();
        assertThat(roundMillis()).isCloseTo(1000, within(120.0));
        sheet.button("Speed 1, for looking only").click();
        sheet.choose("0.5×");
        assertThat(player.getByText("0.5× to look at")).isVisible();
        assertThat(roundMillis()).isCloseTo(2000, within(160.0));
    }

    /**
     * How long a round takes, from one moment at which the first frame comes up to the next; the middle one of three, since
     * a machine that stands still for a moment makes one round longer and the next one shorter.
     */
    private double roundMillis() {
        Object millis = page.evaluate("""
                () => new Promise(resolve => {
                  const mark = document.querySelector('[aria-label=Playhead]')
                  let before = mark.getAttribute('aria-valuenow')
                  const starts = []
                  const look = now => {
                    const at = mark.getAttribute('aria-valuenow')
                    if (at === '1' && before !== '1') {
                      starts.push(now)
                      if (starts.length === 4) {
                        return resolve(starts.slice(1).map((start, i) => start - starts[i]).sort((a, b) => a - b)[1])
                      }
                    }
                    before = at
                    requestAnimationFrame(look)
                  }
                  requestAnimationFrame(look)
                })""");
        return ((Number) millis).doubleValue();
    }

    @Test
    void theSelectionCanBePlayedAlone() {
        sheet.chooseFrames(2, 4);
        sheet.button("Play the selection only").click();
        sheet.button("Play").click();
        Object seen = page.evaluate("""
                () => new Promise(resolve => {
                  const seen = new Set()
                  const start = performance.now()
                  const look = now => {
                    if (now - start > 500) seen.add(document.querySelector('[aria-label=Playhead]').getAttribute('aria-valuenow'))
                    now - start < 1500 ? requestAnimationFrame(look) : resolve([...seen].sort().join())
                  }
                  requestAnimationFrame(look)
                })""");
        assertThat(seen).isEqualTo("2,4");
        sheet.button("Pause").click();
        sheet.button("To the start").click();
        assertThat(player).containsText("frame 2 of 5");
        sheet.button("One frame on").click();
        assertThat(player).containsText("frame 4 of 5");
    }

    @Test
    void theLoopIsLookedAtLargeAndOnAnyGround() {
        sheet.button("Full view").click();
        BoundingBox full = player.boundingBox();
        assertThat(full.width).isEqualTo(1280);
        sheet.button("How it is looked at").click();
        page.getByText("4 : 1").click();
        page.keyboard().press("Escape");
        BoundingBox drawn = page.locator(".stage canvas").boundingBox();
        assertThat(drawn.width).isEqualTo(240);
        assertThat(drawn.height).isEqualTo(160);
        page.keyboard().press("Escape");
        assertThat(sheet.button("Full view")).isVisible();
        sheet.button("How it is looked at").click();
        page.getByLabel("Or any color", new Page.GetByLabelOptions().setExact(true))
                .getByText("No color")
                .click();
        assertThat(page.locator(".stage").first()).hasCSS("background-color", "rgb(255, 255, 255)");
    }

    @Test
    void everyFrameIsASliderForItsDelay() {
        Locator sliders =
                page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("Delay of frame")));
        assertThat(sliders).hasCount(5);
        sliders.nth(0).focus();
        page.keyboard().press("ArrowRight");
        assertThat(sliders.nth(1)).isFocused();
        page.keyboard().press("ArrowUp");
        page.keyboard().press("ArrowUp");
        page.keyboard().press("Shift+ArrowUp");
        assertThat(sliders.nth(1)).hasAttribute("aria-valuetext", "220 ms");
        sheet.awaitDelays("100 ms", "220 ms", "100 ms", "100 ms", "100 ms");
        sheet.awaitUndo("Hold frame 2 for 220 ms");
    }

    @Test
    void theBarIsZoomedAndItsEdgesAreDraggedOrLeft() {
        sheet.button("Zoom the rhythm in").click();
        page.waitForCondition(() -> page.locator(".rhythm .track").boundingBox().width > 1_500);
        page.locator(".rhythm .track").hover();
        Locator first = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Delay of frame 1"));
        page.getByLabel("Rhythm of the loop").locator(".bar").evaluate("bar => bar.scrollLeft = 0");
        BoundingBox box = first.boundingBox();
        double edge = box.x + box.width - 1;
        page.mouse().move(edge, box.y + 20);
        page.mouse().down();
        page.mouse().move(edge + box.width / 2, box.y + 20, new Mouse.MoveOptions().setSteps(4));
        assertThat(page.locator(".readout")).hasText("frame 1: 150 ms, loop 550 ms");
        page.keyboard().press("Escape");
        page.mouse().up();
        sheet.awaitUndo("Add 5 stills");
        page.mouse().move(edge, box.y + 20);
        page.mouse().down();
        page.mouse().move(edge + box.width, box.y + 20, new Mouse.MoveOptions().setSteps(4));
        page.mouse().up();
        sheet.awaitDelays("200 ms", "100 ms", "100 ms", "100 ms", "100 ms");
    }

    @Test
    void theLastFrameThatRepeatsTheFirstIsSaidAndStaysDismissed() {
        sheet.card(1).click();
        page.keyboard().press("Control+c");
        sheet.card(5).click();
        page.keyboard().press("Control+v");
        sheet.awaitOrder(1, 2, 3, 9, 10, 1);
        Locator notices = page.getByLabel("Notices");
        assertThat(notices).containsText("Frame 6 repeats frame 1: the loop stops for a beat.");
        assertThat(page.locator(".seam")).containsText("repeats");
        page.getByLabel("Dismiss: Frame 6 repeats frame 1: the loop stops for a beat.")
                .click();
        assertThat(notices).hasCount(0);
        page.reload();
        sheet.awaitOrder(1, 2, 3, 9, 10, 1);
        assertThat(page.locator(".seam")).containsText("repeats");
        assertThat(notices).hasCount(0);
        sheet.button("Undo").click();
        assertThat(notices).isVisible();
        sheet.button("Leave it out").click();
        assertThat(sheet.card(6)).containsText("left out");
    }

    @Test
    void duplicatesSideBySideAreMerged() {
        sheet.card(3).click();
        sheet.button("Copy").click();
        sheet.awaitOrder(1, 2, 3, 3, 9, 10);
        assertThat(page.getByLabel("Notices")).containsText("Frames 3 and 4 are the same picture.");
        sheet.button("Merge into one of 200 ms").click();
        sheet.awaitDelays("100 ms", "100 ms", "200 ms", "100 ms", "100 ms");
    }

    @Test
    void playsAreSetOnTheSheet() {
        page.getByText("plays forever").click();
        page.getByLabel("Number of plays").fill("3");
        page.getByLabel("Number of plays").press("Enter");
        assertThat(page.getByText("plays 3 times")).isVisible();
        sheet.awaitUndo("Play 3 times");
    }
}
