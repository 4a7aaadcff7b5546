package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a person does on the Move bench, and what the reel is then. */
final class MoveBench {
    static final Size CANVAS = new Size(240, 160);

    private final Page page;
    private final Sheet sheet;

    /** Two flat stills, a tween of ten frames that fades between them, and the bench. */
    MoveBench(Page page) {
        this.page = page;
        this.sheet = new Sheet(page);
        sheet.choose(Stills.png("Dusk 1.png", CANVAS, 0xFF000000), Stills.png("Dusk 2.png", CANVAS, 0xFFFFFFFF));
        assertThat(sheet.cards()).hasCount(2);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Move"))
                .click();
        goTo(1);
        sheet.button("Tween…").click();
        fill("New frames", "10");
        submit();
        sheet.awaitUndo("Tween 10 frames");
    }

    Sheet sheet() {
        return sheet;
    }

    /** Goes to a frame by the keys that are there on every bench. */
    void goTo(int number) {
        page.evaluate("document.activeElement.blur()");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Home");
        for (int at = 1; at < number; at++) {
            page.keyboard().press("ArrowRight");
        }
    }

    /** A cell of the exposure sheet, counted from 1. */
    Locator cell(int frame, int column) {
        return page.locator("[data-row='" + (frame - 1) + "'][data-column='" + (column - 1) + "']");
    }

    Locator head(String name) {
        return page.locator("button.head").filter(new Locator.FilterOptions().setHasText(name));
    }

    void add(String what) {
        sheet.button("Add a cut-out").click();
        sheet.choose(what);
    }

    void addPictures(String way, FilePayload... files) {
        FileChooser chooser = page.waitForFileChooser(() -> add(way));
        chooser.setFiles(files);
    }

    /** A shape as the dialog offers it, with that form. */
    void addShape(String form) {
        add("A shape…");
        pick("Form", form);
        submit();
        assertThat(head(form)).isVisible();
    }

    void addWords(String text) {
        add("Words…");
        page.locator(".v-dialog textarea").first().fill(text);
        submit();
        assertThat(head(text)).isVisible();
    }

    /** Opens the dialog of ready motions and picks one. */
    void motion(String kind) {
        sheet.button("Motion…").click();
        pick("Motion", kind);
    }

    void more(String action) {
        sheet.button("More for this cut-out").click();
        sheet.choose(action);
    }

    /** Picks from a list of a dialog or of the bench. */
    void pick(String label, String choice) {
        page.locator(".v-select")
                .filter(new Locator.FilterOptions().setHas(page.getByLabel(label)))
                .last()
                .click();
        sheet.choose(choice);
    }

    void fill(String label, String value) {
        Locator field = page.locator(".v-dialog").getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
        field.fill(value);
        field.press("Tab");
    }

    void submit() {
        page.locator(".v-dialog button[type=submit]").last().click();
        assertThat(page.locator(".v-dialog .v-card")).hasCount(0);
    }

    /** Types a number of the pose of what is chosen. */
    void set(String field, String value) {
        Locator input = page.locator(".fields").getByLabel(field, new Locator.GetByLabelOptions().setExact(true));
        input.fill(value);
        input.press("Enter");
    }

    void scope(String name) {
        page.locator(".bar")
                .getByText(name, new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    /** Drags on the stage, in pixels of the canvas. */
    void drag(double fromX, double fromY, double toX, double toY) {
        BoundingBox stage = page.locator(".surface").boundingBox();
        double scale = stage.width / CANVAS.width();
        page.mouse().move(stage.x + fromX * scale, stage.y + fromY * scale);
        page.mouse().down();
        page.mouse().move(stage.x + (fromX + toX) / 2 * scale, stage.y + (fromY + toY) / 2 * scale);
        page.mouse().move(stage.x + toX * scale, stage.y + toY * scale, new Mouse.MoveOptions().setSteps(3));
        page.mouse().up();
    }

    JsonNode reel() {
        Object json = page.evaluate("""
                async () => await (await fetch('/api/reels/' + location.pathname.split('/')[2])).text()""");
        return JsonMapper.shared().readTree(json.toString());
    }

    /** One number of the pose of a cut-out on every frame; cut-outs count from 1. */
    List<Double> track(int column, String field) {
        List<Double> values = new ArrayList<>();
        JsonNode reel = reel();
        JsonNode told = reel.get("tracks").get(column - 1).get(field);
        int tenThousandths = 0;
        for (int i = 0; i < reel.get("frames").size(); i++) {
            tenThousandths += told.path(i).asInt(0);
            values.add(tenThousandths / 10_000.0);
        }
        return values;
    }

    /** The frame as the server draws it. */
    Raster drawn(int frame) throws UnreadablePicture {
        JsonNode reel = reel();
        String drawn = reel.get("frames").get(frame - 1).get("drawn").asString();
        Object bytes =
                page.evaluate("""
                async path => [...new Uint8Array(await (await fetch(path)).arrayBuffer())]""", "/api/reels/" + reel.get("id").asString() + "/frames/" + drawn + ".png?width=240");
        List<?> values = (List<?>) bytes;
        byte[] file = new byte[values.size()];
        for (int i = 0; i < file.length; i++) {
            file[i] = ((Number) values.get(i)).byteValue();
        }
        return StillReader.read(file, DecodeLimits.USUAL).raster();
    }

    void awaitTitle(String title) {
        assertThat(page.locator(".heading.name")).hasText(title);
    }

    void awaitState(String state) {
        assertThat(page.locator(".state")).containsText(state);
    }
}
