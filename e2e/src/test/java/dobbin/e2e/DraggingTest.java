package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import dobbin.raster.Blend;
import dobbin.raster.Raster;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What is dragged looks as it will be drawn: its blend mode, shadow and opacity, and what lies above it. */
class DraggingTest {
    @RegisterExtension
    private static final Visit visit = new Visit();

    /** Over the whole stage, of which what is dragged covers about a tenth. */
    private static final double FAINT_LEVELS = 1;

    private static final double STEP = 10;

    @Test
    void whatIsDraggedLooksAsItWillBeDrawn() throws Exception {
        Page page = visit.page();
        MoveBench bench = new MoveBench(page);
        bench.goTo(6);
        bench.addShape("Ellipse");
        bench.addShape("Star");
        edit(page, """
                {"type": "setPoses", "frame": %d, "scope": "HERE", "placed": [
                  {"cutout": %d, "pose": {"x": 100, "y": 80, "scaleX": 1.5, "scaleY": 1.5, "turn": 20, "opacity": 0.8, "shown": 1, "walk": 0}},
                  {"cutout": %d, "pose": {"x": 130, "y": 80, "scaleX": 1, "scaleY": 1, "turn": 0, "opacity": 1, "shown": 1, "walk": 0}}]}
                """.formatted(bench.reel().at("/frames/0/id").asInt(), id(bench, 0), id(bench, 1)));
        bench.head("Ellipse").click();
        double x = 85;
        for (Blend blend : Blend.values()) {
            edit(page, """
                    {"type": "layCutouts", "cutouts": [%d], "under": false, "blend": "%s",
                     "shadow": {"x": 6, "y": 9, "blur": 3, "color": "203060", "opacity": 0.7}}
                    """.formatted(id(bench, 0), blend));
            bench.sheet().awaitUndo("Change blend and shadow of Ellipse");
            Raster dragged = drag(page, x);
            page.mouse().up();
            page.waitForCondition(() -> page.locator(".live img").count() == 0);
            assertThat(difference(dragged, seen(page))).as(blend.name()).isLessThan(FAINT_LEVELS);
            x += STEP;
        }
        assertThat(visit.browser().complaints()).isEmpty();
    }

    /** The still leaves a strip of the canvas bare, where what lies under it is seen; the border lies over all. */
    @Test
    void whatLiesUnderTheStillAndTheBorderStaysThereWhileItIsDragged() throws Exception {
        Page page = visit.page();
        MoveBench bench = new MoveBench(page);
        bench.goTo(6);
        bench.addShape("Ellipse");
        bench.addShape("Star");
        edit(page, "{\"type\":\"setCanvas\",\"width\":240,\"height\":240}");
        edit(page, """
                {"type":"setBorder","border":{"width":14,"color":"203060","radius":40}}""");
        edit(page, """
                {"type": "layCutouts", "cutouts": [%d], "under": true, "blend": "NORMAL",
                 "shadow": {"x": 0, "y": 0, "blur": 0, "color": "000000", "opacity": 0}}
                """.formatted(id(bench, 0)));
        bench.sheet().awaitUndo("Change blend and shadow of Ellipse");
        edit(page, """
                {"type": "setPoses", "frame": %d, "scope": "EVERYWHERE", "placed": [
                  {"cutout": %d, "pose": {"x": 30, "y": 40, "scaleX": 2, "scaleY": 2, "turn": 0, "opacity": 1, "shown": 1, "walk": 0}}]}
                """.formatted(bench.reel().at("/frames/0/id").asInt(), id(bench, 0)));
        bench.head("Ellipse").click();
        page.waitForCondition(() -> bench.track(1, "x").get(5) == 30);
        BoundingBox stage = page.locator(".surface").boundingBox();
        double scale = stage.width / 240;
        page.mouse().move(stage.x + 30 * scale, stage.y + 30 * scale);
        page.mouse().down();
        page.mouse().move(stage.x + 36 * scale, stage.y + 30 * scale);
        page.mouse().move(stage.x + 40 * scale, stage.y + 30 * scale);
        page.waitForCondition(() -> page.locator(".live > img").count() == 1
                && page.locator(".live img").count() == 3
                && imagesAreThere(page));
        Raster dragged = seen(page);
        page.mouse().up();
        page.waitForCondition(() -> page.locator(".live").count() == 0);
        assertThat(difference(dragged, seen(page))).isLessThan(FAINT_LEVELS);
    }

    /** @return what is seen while the button is down */
    private static Raster drag(Page page, double x) throws Exception {
        BoundingBox stage = page.locator(".surface").boundingBox();
        double scale = stage.width / MoveBench.CANVAS.width();
        page.mouse().move(stage.x + x * scale, stage.y + 85 * scale);
        page.mouse().down();
        page.mouse().move(stage.x + (x + STEP / 2) * scale, stage.y + 85 * scale);
        page.mouse().move(stage.x + (x + STEP) * scale, stage.y + 85 * scale);
        page.waitForCondition(() -> page.locator(".live img").count() == 3 && imagesAreThere(page));
        return seen(page);
    }

    private static int id(MoveBench bench, int index) {
        return bench.reel().at("/cutouts/" + index + "/id").asInt();
    }

    /** Made as from another tab; this one hears of it. */
    private static void edit(Page page, String edit) {
        page.evaluate("""
                async edit => {
                  const path = '/api/reels/' + location.pathname.split('/')[2]
                  const { revision } = await (await fetch(path)).json()
                  const body = JSON.stringify({ base: revision, edit: JSON.parse(edit) })
                  await fetch(path + '/edits', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body })
                }""", edit);
    }

    private static boolean imagesAreThere(Page page) {
        return (Boolean) page.evaluate("""
                () => [...document.querySelectorAll('.surface img')].every(image => image.complete && image.naturalWidth > 0)""");
    }

    private static Raster seen(Page page) throws Exception {
        page.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
        return StillReader.read(
                        page.locator(".surface").screenshot(new Locator.ScreenshotOptions()), DecodeLimits.USUAL)
                .raster();
    }

    /** @return the mean difference of channels, in levels */
    private static double difference(Raster a, Raster b) {
        assertThat(a.size()).isEqualTo(b.size());
        long sum = 0;
        long count = 0;
        for (int i = 0; i < a.argb().length; i++) {
            for (int shift = 0; shift < 24; shift += 8) {
                sum += Math.abs((a.argb()[i] >> shift & 0xFF) - (b.argb()[i] >> shift & 0xFF));
            }
            count += 3;
        }
        return (double) sum / count;
    }
}
