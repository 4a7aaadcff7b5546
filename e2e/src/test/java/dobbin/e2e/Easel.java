package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import dobbin.raster.Raster;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.regex.Pattern;

/** The bench Draw as a hand with a pen finds it. */
final class Easel {
    static final int INK = 0xFF1E2A32;
    private static final String FETCH = """
            async (address) => {
              const bytes = new Uint8Array(await (await fetch(address)).arrayBuffer())
              return btoa(bytes.reduce((text, byte) => text + String.fromCharCode(byte), ''))
            }""";
    private final Page page;
    private final Sheet sheet;

    Easel(Page page) {
        this.page = page;
        this.sheet = new Sheet(page);
    }

    void newReel(String size) {
        sheet.button("New reel…").click();
        Locator dialog = page.locator(".v-dialog");
        dialog.getByText(size).click();
        dialog.locator("button[type=submit]").click();
        assertThat(sheet.cards()).hasCount(1);
        toDraw();
    }

    void toDraw() {
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Draw").setExact(true))
                .click();
        assertThat(place()).isVisible();
    }

    Locator place() {
        return page.getByRole(AriaRole.APPLICATION, new Page.GetByRoleOptions().setName(Pattern.compile("Easel.*")));
    }

    Locator inkCanvas() {
        return page.locator("[data-test=ink]");
    }

    /** @param points x and y each, in pixels of the canvas */
    void stroke(double... points) {
        for (int i = 0; i < points.length; i += 2) {
            moveTo(points[i], points[i + 1], i == 0 ? 1 : 6);
            if (i == 0) {
                page.mouse().down();
            }
        }
        page.mouse().up();
    }

    void moveTo(double x, double y, int steps) {
        BoundingBox box = inkCanvas().boundingBox();
        int width = Integer.parseInt(inkCanvas().getAttribute("width"));
        double scale = box.width / width;
        page.mouse().move(box.x + x * scale, box.y + y * scale, new Mouse.MoveOptions().setSteps(steps));
    }

    /** Draws, and waits until the server's own picture is shown. */
    void drawn(double... points) {
        String before = inkCanvas().getAttribute("data-ink");
        stroke(points);
        awaitOtherInk(before);
    }

    void awaitOtherInk(String before) {
        assertThat(inkCanvas()).not().hasAttribute("data-ink", before);
    }

    void goesTo(String pageTitle) {
        assertThat(page.getByText(pageTitle)).isVisible();
    }

    String reel() {
        return page.url().replaceAll(".*/reels/([0-9a-f-]+)/.*", "$1");
    }

    /** @return the frames as the server draws them, at the size of the canvas */
    List<Raster> drawings() throws Exception {
        List<?> looks = (List<?>) page.evaluate(
                "async (id) => (await (await fetch('/api/reels/' + id)).json()).frames.map(frame => frame.drawn)",
                reel());
        List<Raster> drawings = new ArrayList<>();
        for (Object look : looks) {
            Object file = page.evaluate(FETCH, "/api/reels/" + reel() + "/frames/" + look + ".png?width=1600");
            drawings.add(StillReader.read(Base64.getDecoder().decode(file.toString()), DecodeLimits.USUAL)
                    .raster());
        }
        return drawings;
    }

    int shines() {
        Object found = page.evaluate("""
                () => {
                  const canvas = document.querySelector('[data-test=shine]')
                  return canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data.filter((_, i) => i % 4 === 3).reduce((sum, alpha) => sum + (alpha > 0), 0)
                }""");
        return ((Number) found).intValue();
    }

    int count() {
        try {
            return Inked.count(drawings().get(0));
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
