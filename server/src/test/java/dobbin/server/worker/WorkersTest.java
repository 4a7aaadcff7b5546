package dobbin.server.worker;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.lettering.Typeface;
import dobbin.lettering.UnusableTypeface;
import dobbin.raster.Raster;
import dobbin.still.Checkpoint;
import dobbin.still.SvgDrawing;
import dobbin.still.UnreadablePicture;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class WorkersTest {
    /** More by hand: -Dbroken-typefaces=1000. */
    private static final int BROKEN = Integer.getInteger("broken-typefaces", 100);

    private final Workers workers = new Workers(Duration.ofSeconds(30));
    private final Workers shortly = new Workers(Duration.ofSeconds(2));

    @AfterEach
    void stop() {
        workers.stop();
        shortly.stop();
    }

    private static List<ProcessHandle> processes() {
        return ProcessHandle.current().children().toList();
    }

    private static void assertNoneIsLeft() {
        processes()
                .forEach(process -> assertThatCode(() -> process.onExit().get(5, TimeUnit.SECONDS))
                        .doesNotThrowAnyException());
        assertThat(processes()).isEmpty();
    }

    @Test
    void aDrawingIsTheSamePixelForPixelWhereverItIsDrawn() throws Exception {
        byte[] light = SvgBombs.svg(
                "<defs><radialGradient id='g'><stop stop-color='#fff6d8'/><stop offset='1' stop-color='#1c3f55'/>"
                        + "</radialGradient></defs><circle cx='240' cy='240' r='200' fill='url(#g)'/>"
                        + "<text x='90' y='250' font-size='48' stroke='#b23e28'>Skerry Point</text>");
        for (int side : new int[] {0, 16, 1600}) {
            assertThat(workers.draw(light, side, Checkpoint.NONE))
                    .isEqualTo(SvgDrawing.read(light, side, Checkpoint.NONE));
        }
        assertThat(processes()).hasSize(1);
    }

    @Test
    void aClipPathOfThousandsOfCrossingLinesIsEndedWithItsProcess() {
        assertRefused(SvgBombs.crossingClipPath(3));
    }

    @Test
    void fiftyWideBlursAreEndedWithTheirProcess() {
        assertRefused(SvgBombs.fiftyWideBlurs());
    }

    private void assertRefused(byte[] file) {
        assertThatThrownBy(() -> shortly.draw(file, 0, Checkpoint.NONE))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageMatching(
                        "takes (more than 2 s of a processor|too much memory) to be read. Save it anew, simpler or in another format");
        assertNoneIsLeft();
        assertThatCode(() -> workers.draw(SvgBombs.svg("<rect width='9' height='9'/>"), 0, Checkpoint.NONE))
                .doesNotThrowAnyException();
    }

    @Test
    void oneThatNobodyWaitsForAnyMoreIsEnded() {
        AtomicBoolean left = new AtomicBoolean();
        Checkpoint waits = () -> {
            if (left.get()) {
                throw new CancellationException("is not wanted any more");
            }
        };
        CompletableFuture<Raster> drawing = CompletableFuture.supplyAsync(() -> {
            try {
                return workers.draw(SvgBombs.fiftyWideBlurs(), 1600, waits);
            } catch (UnreadablePicture e) {
                throw new IllegalStateException(e);
            }
        });
        for (int i = 0; i < 1_000 && processes().isEmpty(); i++) {
            LockSupport.parkNanos(10_000_000);
        }
        left.set(true);
        assertThatThrownBy(drawing::join).hasRootCauseInstanceOf(CancellationException.class);
        assertNoneIsLeft();
    }

    @Test
    void oneThatWasEndedFromOutsideIsFollowedByAnother() throws Exception {
        byte[] buoy = SvgBombs.svg("<circle cx='240' cy='240' r='90' fill='#b23e28'/>");
        Raster drawn = workers.draw(buoy, 0, Checkpoint.NONE);
        processes().forEach(ProcessHandle::destroyForcibly);
        assertNoneIsLeft();
        assertThat(workers.draw(buoy, 0, Checkpoint.NONE)).isEqualTo(drawn);
    }

    private static byte[] lora() throws IOException {
        try (InputStream file = Typeface.class.getResourceAsStream("Lora-Regular.ttf")) {
            return file.readAllBytes();
        }
    }

    /** Table by table, in turn: some of its bytes at random, or numbers that count or lie far beyond what is there. */
    private static byte[] broken(byte[] whole, int number, Random random) {
        byte[] broken = whole.clone();
        ByteBuffer bytes = ByteBuffer.wrap(broken);
        int entry = 12 + 16 * (number % bytes.getShort(4));
        int offset = bytes.getInt(entry + 8);
        int length = bytes.getInt(entry + 12);
        int changes = 1 + random.nextInt(8);
        for (int i = 0; i < changes; i++) {
            // Most of what other numbers are counted by stands at the beginning of a table.
            int within = random.nextBoolean() ? random.nextInt(Math.min(64, length)) : random.nextInt(length);
            broken[offset + within] = (byte) (random.nextBoolean() ? 0xFF : random.nextInt());
        }
        return broken;
    }

    @Test
    void typefacesBrokenTableByTableEndNothingButTheirProcess() throws Exception {
        byte[] whole = lora();
        workers.tryTypeface(whole);
        Random random = new Random(11);
        int refused = 0;
        for (int i = 0; i < BROKEN; i++) {
            try {
                workers.tryTypeface(broken(whole, i, random));
            } catch (UnusableTypeface e) {
                refused++;
                assertThat(e).hasMessage("is a damaged typeface");
            }
        }
        assertThat(refused).isPositive();
        workers.tryTypeface(whole);
    }
}
