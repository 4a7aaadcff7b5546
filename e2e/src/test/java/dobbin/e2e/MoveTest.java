package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import java.util.Base64;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What people do with cut-outs. Twelve frames, black to white, in a reel of their own each time. */
class MoveTest extends AtTheMoveBench {
    private static final Size SMALL = new Size(40, 20);
    private static final int RED = 0xFFD02020;
    private static final int BLUE = 0xFF2020D0;

    @Test
    void aTweenFadesFromStillToStillInLinearLight() throws Exception {
        assertThat(bench.reel().get("frames")).hasSize(12);
        assertThat(bench.drawn(1).pixel(9, 9)).isEqualTo(0xFF000000);
        assertThat(bench.drawn(12).pixel(9, 9)).isEqualTo(0xFFFFFFFF);
        int before = 0;
        for (int frame = 2; frame < 12; frame++) {
            int gray = bench.drawn(frame).pixel(9, 9) & 0xFF;
            double linear = Math.pow((gray / 255.0 + 0.055) / 1.055, 2.4);
            assertThat(linear).isCloseTo((frame - 1) / 11.0, within(0.01));
            assertThat(gray).isGreaterThan(before);
            before = gray;
        }
    }

    @Test
    void aFerryCrossesWithAnEasedTrackAndABendFromTheMiddleOn() throws Exception {
        bench.goTo(1);
        bench.addPictures("Pictures…", Stills.png("Ferry.png", SMALL, RED));
        bench.awaitTitle("Ferry at frame 1");
        bench.set("Across", "20");
        bench.cell(12, 1).click();
        bench.set("Across", "240");
        bench.awaitState("a pose of its own");
        bench.cell(1, 1).click();
        bench.pick("Easing after this pose", "ease in");
        sheet.awaitUndo("Set the easing of a pose of Ferry");
        List<Double> eased = bench.track(1, "x");
        assertThat(eased.get(1) - eased.get(0)).isLessThan((eased.get(11) - eased.get(10)) / 4);
        bench.cell(7, 1).click();
        bench.awaitState("between its poses at 1 and 12");
        bench.scope("from here on");
        bench.set("Down", "120");
        sheet.awaitUndo("Pose Ferry");
        List<Double> down = bench.track(1, "y");
        assertThat(down.get(0)).isEqualTo(80.0);
        assertThat(down.subList(6, 12)).containsOnly(120.0);
        assertThat(bench.drawn(12).pixel(235, 120)).isEqualTo(RED);
        assertThat(bench.drawn(12).pixel(235, 80)).isEqualTo(0xFFFFFFFF);
    }

    @Test
    void aGullFlapsInACycleOfTwoPictures() throws Exception {
        bench.goTo(1);
        bench.addPictures(
                "A cycle of pictures…", Stills.png("Up.png", SMALL, RED), Stills.png("Down.png", SMALL, BLUE));
        assertThat(bench.cell(1, 1)).containsText("A");
        assertThat(bench.cell(2, 1)).containsText("B");
        assertThat(bench.drawn(1).pixel(120, 80)).isEqualTo(RED);
        assertThat(bench.drawn(2).pixel(120, 80)).isEqualTo(BLUE);
        bench.more("Properties…");
        bench.fill("Name", "Gull");
        bench.fill("Next picture every", "3");
        bench.submit();
        assertThat(bench.head("Gull")).isVisible();
        assertThat(bench.cell(3, 1)).containsText("A");
        assertThat(bench.cell(4, 1)).containsText("B");
        bench.cell(12, 1).click();
        bench.set("Across", "200");
        bench.cell(1, 1).click();
        bench.pick("Easing after this pose", "ease in");
        sheet.awaitUndo("Set the easing of a pose of Gull");
        List<Double> across = bench.track(1, "x");
        assertThat(across.get(1) - across.get(0))
                .as("slower in its first frame")
                .isLessThan(1);
    }

    @Test
    void wordsComeLetterByLetter() throws Exception {
        bench.goTo(1);
        bench.addWords("Last ferry");
        bench.motion("Letters, one after the other");
        bench.fill("From frame", "2");
        bench.fill("To frame", "10");
        bench.submit();
        sheet.awaitUndo("Let Last ferry come letter by letter");
        List<Double> shown = bench.track(1, "shown");
        assertThat(shown.subList(1, 10)).isSorted();
        assertThat(Math.round(shown.get(1) * 9)).isEqualTo(1);
        assertThat(shown.get(9)).isEqualTo(1);
        assertThat(bench.cell(2, 1)).hasAttribute("aria-label", "Last ferry, frame 2: pose");
        assertThat(bench.cell(3, 1)).hasAttribute("aria-label", "Last ferry, frame 3: glides");
        assertThat(inked(bench.drawn(2))).isLessThan(inked(bench.drawn(3)) / 1.5);
    }

    /** How many pixels are neither of the fade's grays. */
    private static double inked(Raster raster) {
        int ground = raster.pixel(0, 0);
        return java.util.Arrays.stream(raster.argb())
                .filter(pixel -> pixel != ground)
                .count();
    }

    @Test
    void aBadgeSlidesInFadesInAndThenBlinksThreeTimes() {
        bench.goTo(1);
        bench.addShape("Star");
        bench.motion("Slide");
        bench.fill("To frame", "4");
        bench.submit();
        sheet.awaitUndo("Let Star slide in");
        bench.motion("Fade");
        bench.fill("To frame", "4");
        bench.submit();
        sheet.awaitUndo("Let Star fade in");
        bench.cell(5, 1).click();
        bench.motion("Blink");
        bench.fill("On for", "1");
        bench.fill("Off for", "1");
        bench.fill("Times", "3");
        bench.submit();
        sheet.awaitUndo("Let Star blink");
        assertThat(bench.track(1, "opacity"))
                .containsExactly(0.0, 0.5556, 0.8889, 1.0, 1.0, 0.0, 1.0, 0.0, 1.0, 0.0, 1.0, 1.0);
        List<Double> across = bench.track(1, "x");
        assertThat(across.get(0)).isEqualTo(-24.0);
        assertThat(across.subList(3, 12)).containsOnly(120.0);
    }

    @Test
    void aWheelTurnsInExactThirds() {
        bench.goTo(1);
        bench.addShape("Polygon");
        bench.motion("Spin");
        bench.fill("Steps of a full circle", "3");
        bench.submit();
        sheet.awaitUndo("Let Polygon spin");
        assertThat(bench.track(1, "turn").subList(0, 4)).containsExactly(0.0, 120.0, 240.0, 360.0);
        bench.cell(2, 1).click();
        assertThat(page.locator(".fields").getByLabel("Turn")).hasValue("120");
    }

    @Test
    void aBorderLiesOverAllAndABackdropBehind() throws Exception {
        sheet.button("Backdrop…").click();
        bench.fill("Border", "5");
        bench.submit();
        sheet.awaitUndo("Change the border");
        assertThat(bench.drawn(6).pixel(4, 80)).isEqualTo(0xFF1E2A32);
        assertThat(bench.drawn(6).pixel(5, 80)).isNotEqualTo(0xFF1E2A32);
    }

    @Test
    void whatTheStageShowedIsWhatIsDelivered() throws Exception {
        bench.goTo(1);
        bench.addShape("Star");
        bench.set("Turn", "13");
        bench.cell(12, 1).click();
        bench.set("Across", "201.5");
        page.waitForCondition(() -> bench.track(1, "x").get(11) == 201.5);
        page.evaluate("""
                async () => {
                  const path = '/api/reels/' + location.pathname.split('/')[2]
                  const { revision, delivery } = await (await fetch(path)).json()
                  const framing = { ...delivery.framing, width: 240 }
                  const edit = { type: 'setDelivery', delivery: { ...delivery, framing, colors: 256, dither: 'NONE' } }
                  await fetch(path + '/edits', { method: 'POST', headers: { 'Content-Type': 'application/json' },
                    body: JSON.stringify({ base: revision, edit }) })
                }""");
        bench.cell(7, 1).click();
        Object file = page.evaluate("""
                async () => {
                  const path = '/api/reels/' + location.pathname.split('/')[2]
                  const told = async () => await (await fetch(path + '/weight')).json()
                  const pause = () => new Promise(done => setTimeout(done, 20))
                  let weight = await told()
                  for (let i = 0; i < 1000 && weight.bytes === null; i++, weight = await told()) await pause()
                  const bytes = new Uint8Array(await (await fetch(path + '/files/' + weight.file + '.gif')).arrayBuffer())
                  return btoa(Array.from(bytes, byte => String.fromCharCode(byte)).join(''))
                }""");
        GifReader reader = GifReader.open(Base64.getDecoder().decode(file.toString()), DecodeLimits.USUAL);
        Raster delivered = null;
        for (int frame = 1; frame <= 7; frame++) {
            delivered = reader.next().orElseThrow().picture();
        }
        page.waitForTimeout(800);
        List<?> pixels = (List<?>) page.evaluate("""
                () => {
                  const canvas = document.querySelector('.surface canvas')
                  return [canvas.width, canvas.height, ...canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data]
                }""");
        assertThat(List.of(pixels.get(0), pixels.get(1))).isEqualTo(List.of(240, 160));
        int worst = 0;
        for (int i = 0; i < 240 * 160; i++) {
            for (int channel = 0; channel < 3; channel++) {
                int shown = ((Number) pixels.get(2 + 4 * i + channel)).intValue();
                int inFile = delivered.argb()[i] >> 16 - 8 * channel & 0xFF;
                worst = Math.max(worst, Math.abs(shown - inFile));
            }
        }
        assertThat(worst)
                .as("no further than a palette of 256 rounds the soft edges")
                .isLessThan(24);
        assertThat(Collections.frequency(pixels, 0xB2)).as("the star is there").isGreaterThan(500);
    }

    @Test
    void whatIsAddedWithoutFramesSaysHowToBegin() {
        page.locator("body").press("Escape");
        page.navigate(page.url().replace("/move", "/sheet"));
        sheet.select("All");
        sheet.button("Remove").click();
        assertThat(page.getByText("No frames yet")).isVisible();
        page.navigate(page.url().replace("/sheet", "/move"));
        assertThat(page.getByText("No frames to move anything over")).isVisible();
    }
}
