package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import dobbin.skerry.SkerryPoint;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Photos of one view taken by hand: they are laid over one another, put in order of date and into even light. */
class HandHeldTest extends BrowserTest {
    private void openHandHeld() {
        sheet.choose(SkerryPoint.handHeld().stream()
                .map(file -> new FilePayload(file.name(), "image/jpeg", file.bytes()))
                .toArray(FilePayload[]::new));
        assertThat(sheet.cards()).hasCount(8);
    }

    @Test
    void photosTakenByHandAreLinedUpCroppedAndLaidBack() {
        openHandHeld();
        sheet.more("Line up…");
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.getByText("7 frames lie on frame 4.")).isVisible();
        assertThat(page.getByText(Pattern.compile("lined up \\d+ %"))).hasCount(7);
        assertThat((Integer) sheet.told("canvas.width")).isBetween(840, 940);
        assertThat(sheet.told("frames.some((frame) => frame.bare)")).isEqualTo(false);

        sheet.card(2).click();
        page.keyboard().press("u");
        assertThat(page.getByText("Move the still of frame 2")).isVisible();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Turn clockwise"))
                .fill("1.5");
        page.keyboard().press("Enter");
        sheet.awaitUndo("Line up frame 2");
        assertThat(sheet.told("frames[1].content.aligned.turn")).isEqualTo(1.5);
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Right edge smaller"))
                .fill("12.5");
        page.keyboard().press("Enter");
        page.waitForCondition(
                () -> sheet.told("frames[1].content.aligned.perspective.across").equals(0.125));
        sheet.button("Lay it back").click();
        sheet.awaitUndo("Lay frame 2 back as it was");
        assertThat(page.getByText(Pattern.compile("lined up \\d+ %"))).hasCount(6);
        for (String left : List.of("Line up frame 2", "Line up frame 2", "Line up 8 frames")) {
            sheet.button("Undo").click();
            sheet.awaitUndo(left);
        }
        sheet.button("Undo").click();
        assertThat(page.getByText(Pattern.compile("lined up \\d+ %"))).hasCount(0);
        assertThat(sheet.told("canvas.width")).isEqualTo(960);
    }

    @Test
    void photosAreLinedUpByThePartOneDraws() {
        openHandHeld();
        sheet.chooseFrames(1, 2, 3);
        page.keyboard().press("u");
        page.getByLabel("Only by a part of the view").click();
        Locator picture = page.locator(".v-dialog .picture");
        BoundingBox seen = picture.boundingBox();
        page.mouse().move(seen.x + 0.6 * seen.width, seen.y + 0.2 * seen.height);
        page.mouse().down();
        page.mouse().move(seen.x + 0.95 * seen.width, seen.y + 0.8 * seen.height, new Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        assertThat(page.getByLabel(Pattern.compile("Part: 3[23]\\d × 38\\d at 57\\d, 12\\d")))
                .isVisible();
        page.getByLabel("Leave them").click();
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.getByText("2 frames lie on frame 2.")).isVisible();
        assertThat(page.getByText(Pattern.compile("lined up \\d+ %"))).hasCount(2);
    }

    @Tag("long")
    @Test
    void perspectiveIsFoundWhereItIsAskedFor() {
        openHandHeld();
        sheet.chooseFrames(1, 2);
        page.keyboard().press("u");
        page.getByLabel("Perspective too, for a page or a wall seen from the side")
                .click();
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.getByText("1 frame lies on frame 1.")).isVisible();
        assertThat(sheet.told("frames[1].content.aligned.perspective.across !== 0"))
                .isEqualTo(true);
    }

    @Test
    void shakingAloneIsTakenOut() {
        openHandHeld();
        sheet.more("Line up…");
        page.getByLabel("Steady: only the shaking goes, a pan stays").click();
        assertThat(page.getByLabel("Lie on frame")).hasCount(0);
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.getByText("8 frames are steadied.")).isVisible();
        sheet.awaitUndo("Line up 8 frames");
    }

    @Test
    void framesGoIntoOrderOfDateAndAreShownAsTheyWereTaken() {
        page.locator("[data-test=files]").first().evaluate("""
                async (input) => {
                  const canvas = new OffscreenCanvas(30, 20)
                  const taken = { 'Dusk.png': 3000, 'Noon.png': 1000, 'Dawn.png': 0 }
                  const files = new DataTransfer()
                  for (const [name, after] of Object.entries(taken)) {
                    canvas.getContext('2d').fillStyle = `rgb(${after / 20} 80 80)`
                    canvas.getContext('2d').fillRect(0, 0, 30, 20)
                    files.items.add(new File([await canvas.convertToBlob()], name, { lastModified: 1780000000000 + after }))
                  }
                  input.files = files.files
                  input.dispatchEvent(new Event('change'))
                }""");
        assertThat(sheet.cards()).hasCount(3);
        sheet.more("Into order of date");
        sheet.awaitUndo("Put 3 frames in order of date");
        assertThat(sheet.told("frames.map((frame) => frame.name)"))
                .isEqualTo(List.of("Dawn.png", "Noon.png", "Dusk.png"));
        sheet.button("Other changes").click();
        sheet.choose("Pace by date…");
        sheet.answer("Total", "1000", "Pace");
        sheet.awaitDelays("200 ms", "400 ms", "400 ms");
    }

    @Test
    void flickerOfExposureIsEvenedAndTakenBack() {
        sheet.choose(IntStream.range(0, 5)
                .mapToObj(i -> Stills.png("Dusk " + i + ".png", Stills.SIZE, i == 2 ? 0xFF303030 : 0xFF404040 + i))
                .toArray(FilePayload[]::new));
        assertThat(sheet.cards()).hasCount(5);
        Object before = sheet.told("frames[2].drawn");
        sheet.more("Even the light");
        sheet.awaitUndo("Even the light of 5 frames");
        assertThat(sheet.told("frames[2].drawn")).isNotEqualTo(before);
        assertThat((Double) sheet.told("frames[2].content.light.lift * 1.0")).isGreaterThan(0.03);
        sheet.more("Light as in the photos");
        sheet.awaitUndo("Give 2 frames back the light of the photo");
        assertThat(sheet.told("frames[2].drawn")).isEqualTo(before);
    }
}
