package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import dobbin.dither.Dither;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.edit.SetPlays;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Reel;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import java.util.Base64;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Chromium really plays a file as often as it says: its frames are watched on the screen and counted. */
@Tag("long")
@Tag("alone")
class PlaysCountedTest {
    private static final Size SIZE = new Size(16, 16);
    private static final int DELAY_MILLIS = 900;
    private static final List<Integer> COLORS = List.of(0xFFD02020, 0xFF2020D0);

    @RegisterExtension
    private static final Visit visit = new Visit();

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    void aFilePlaysAsOftenAsItSays(int plays) {
        Page page = visit.browser().open(visit.address());
        page.setContent("<body style='margin:0'></body>");
        // The first look at a page takes far longer than the next ones.
        page.screenshot();
        String file = Base64.getEncoder().encodeToString(gif(plays));
        page.evaluate("""
                file => new Promise(resolve => {
                  const image = new Image()
                  image.onload = resolve
                  image.src = 'data:image/gif;base64,' + file
                  document.body.append(image)
                })""", file);
        int changes = changesSeen(page.locator("img"), (2 * plays + 3) * DELAY_MILLIS);
        assertThat(changes)
                .as("each play shows two frames, and the last one stays")
                .isEqualTo(2 * plays - 1);
        page.close();
    }

    /** How often what is on the screen changes within some time. */
    private static int changesSeen(Locator image, int millis) {
        long end = System.nanoTime() + millis * 1_000_000L;
        int before = -1;
        int changes = 0;
        while (System.nanoTime() < end) {
            int now = java.util.Arrays.hashCode(image.screenshot());
            changes += before != -1 && now != before ? 1 : 0;
            before = now;
        }
        return changes;
    }

    private static byte[] gif(int plays) {
        List<NewStill> stills = List.of(still(0), still(1));
        Reel reel = Edit.apply(new AddStills(stills, 0), Reel.empty("Lamp"));
        Reel counted = Edit.apply(new SetPlays(plays), reel)
                .withDelivery(new Delivery(16, 4, Dither.NONE, "", Encoding.USUAL));
        return new Slim(Runnable::run)
                .deliver(
                        counted, (name, level) -> Raster.filled(SIZE, COLORS.get(name.charAt(63) - '0')), Progress.NONE)
                .bytes();
    }

    private static NewStill still(int number) {
        return new NewStill(String.format("%064d", number), "Lamp " + number, SIZE, DELAY_MILLIS);
    }
}
