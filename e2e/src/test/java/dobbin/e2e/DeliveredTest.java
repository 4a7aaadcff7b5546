package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.PngWriter;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What can be done with files that were delivered, and where they are looked at. */
class DeliveredTest extends BrowserTest {
    private void openFive() {
        sheet.openFive();
        sheet.toShare();
        sheet.awaitedBytes();
    }

    private void deliver(String name) {
        page.getByLabel("File name").fill(name);
        sheet.button("Deliver").click();
        assertThat(page.getByLabel("Deliveries")).containsText(name + ".gif");
    }

    private void choose(String select, String option) {
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(select))
                .press("ArrowDown");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option))
                .click();
    }

    /** What is in the middle of a canvas, as red, green, blue. */
    private static String middle(Locator canvas) {
        return (String) canvas.evaluate(
                "it => it.getContext('2d').getImageData(it.width / 2, it.height / 2, 1, 1).data.slice(0, 3).join(' ')");
    }

    private static String rgb(int color) {
        return (color >> 16 & 0xFF) + " " + (color >> 8 & 0xFF) + " " + (color & 0xFF);
    }

    @Test
    void twoAreSeenAtOnePlayhead() {
        openFive();
        deliver("Wide");
        Locator width = sheet.slimWidth();
        width.fill("30");
        width.press("Enter");
        sheet.awaitUndo("Deliver 30 px wide");
        sheet.toShare();
        sheet.awaitedBytes();
        deliver("Narrow");
        page.getByLabel("Deliveries").getByText("Wide.gif").click();
        choose("Beside it", "Narrow.gif");
        sheet.button("In step").click();
        Locator canvases = page.getByLabel("Page with the file").locator("canvas");
        assertThat(canvases).hasCount(2);
        Locator time = page.getByLabel("Time in both");
        assertThat(time).hasAttribute("max", "499");
        for (int frame : new int[] {3, 0, 4}) {
            time.fill(String.valueOf(100 * frame + 50));
            String expected = rgb(Stills.color(List.of(1, 2, 3, 9, 10).get(frame)));
            for (int i = 0; i < 2; i++) {
                Locator canvas = canvases.nth(i);
                page.waitForCondition(() -> middle(canvas).equals(expected));
            }
        }
        assertThat(sheet.button("Play both")).isVisible();
    }

    @Test
    void howTheyLookIsSaidAndTheyPlayInTheList() {
        letThingsMove();
        openFive();
        deliver("Tide");
        Locator delivery = page.getByLabel("Deliveries").locator("li");
        // Five plain colors are delivered as they are.
        assertThat(delivery).containsText("error 0.00");
        assertThat(delivery.locator("img")).hasAttribute("src", Pattern.compile("/api/deliveries/.*\\.gif"));
    }

    @Test
    void theFirstFrameIsCopiedAsAPicture() {
        page.context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
        openFive();
        deliver("Tide");
        sheet.button("Copy first frame").click();
        assertThat(page.getByText("The first frame is on the clipboard")).isVisible();
        Object copied = page.evaluate("""
                async () => {
                  const [item] = await navigator.clipboard.read()
                  const bitmap = await createImageBitmap(await item.getType('image/png'))
                  const pen = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d')
                  pen.drawImage(bitmap, 0, 0)
                  return `${bitmap.width} x ${bitmap.height}: ${pen.getImageData(30, 20, 1, 1).data.slice(0, 3).join(' ')}`
                }""");
        assertThat(copied).isEqualTo("60 x 40: " + rgb(Stills.color(1)));
    }

    @Test
    void edgesThatShowAFringeOnTheChosenPageAreToldAndMended() {
        Size size = new Size(60, 60);
        int[] disc = new int[(int) size.area()];
        for (int i = 0; i < disc.length; i++) {
            double from = Math.hypot(i % 60 - 29.5, i / 60 - 29.5);
            disc[i] = (int) Math.round(255 * Math.max(0, Math.min(1, (24 - from) / 3))) << 24 | 0x2B6F86;
        }
        sheet.choose(new FilePayload("Buoy.png", "image/png", PngWriter.bytes(Raster.of(size, disc))));
        assertThat(sheet.cards()).hasCount(1);
        page.evaluate("""
                async () => {
                  const id = location.pathname.split('/')[2]
                  const reel = await (await fetch('/api/reels/' + id)).json()
                  const edit = { type: 'setDelivery', delivery: { ...reel.delivery, matte: 'ffffff' } }
                  await fetch(`/api/reels/${id}/edits`, { method: 'POST', headers: { 'Content-Type': 'application/json' },
                    body: JSON.stringify({ base: reel.revision, edit }) })
                }""");
        sheet.toShare();
        Locator checks = page.getByLabel("Checks");
        assertThat(checks).containsText("Nothing to say about");
        page.getByLabel("Black page").click();
        assertThat(checks).containsText("Frame 1 shows a fringe on this page: the edges are mixed with #ffffff.");
        checks.getByText("Mix them with this page").click();
        assertThat(checks).containsText("Nothing to say about");
        page.getByLabel("White page").click();
        assertThat(checks).containsText("the edges are mixed with #101214.");
    }

    @Test
    void itIsLookedAtOnAPictureOfOnesOwn() {
        openFive();
        choose("Looked at on", "A picture of yours");
        Locator behind = page.getByLabel("Page with the file");
        assertThat(behind).hasCSS("background-image", "none");
        page.getByLabel("Picture behind the file").setInputFiles(Stills.png(7));
        assertThat(behind).hasCSS("background-image", Pattern.compile("url\\(\"blob:.*"));
        assertThat(sheet.button("Another picture")).isVisible();
    }
}
