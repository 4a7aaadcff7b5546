package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Memory;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.skerry.SkerryPoint;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class KeptLoopTest {
    private static final Size SIZE = new Size(60, 40);
    private static final List<Raster> SUNRISE = SkerryPoint.sunrise(2, SIZE);

    private record Colors(int entries) {}

    private record Large(int number) implements Memory.Bulky {}

    private final AtomicInteger worked = new AtomicInteger();
    private final KeptLoop kept = new KeptLoop(Loops.pictures(SUNRISE));
    private final Reel reel = Loops.reel(SUNRISE);

    private Raster drawn(int frame, int width) {
        Reel sized = reel.withDelivery(reel.delivery().withWidth(width));
        return kept.draw(sized, new Tracks(sized.frames()), sized.frames().get(frame), Framed.of(sized));
    }

    private String work(Object picture, int entries) {
        return kept.of(picture, new Colors(entries), () -> "made " + worked.incrementAndGet());
    }

    @Test
    void aFrameIsDrawnOnceInEachSize() {
        assertThat(drawn(0, 30)).isSameAs(drawn(0, 30)).isNotSameAs(drawn(1, 30));
        assertThat(drawn(0, 20).size()).isEqualTo(new Size(20, 13));
    }

    @Test
    void whatWasWorkedOutAboutAFrameAndAboutThatIsRemembered() {
        String first = work(drawn(0, 30), 16);
        assertThat(work(drawn(0, 30), 16)).isSameAs(first);
        assertThat(work(drawn(0, 30), 8)).isEqualTo("made 2");
        String ofThat = work(first, 16);
        assertThat(work(first, 16)).isSameAs(ofThat);
        assertThat(worked).hasValue(3);
    }

    @Test
    void ofWhatIsBulkyOnlyTheLatestIsRemembered() {
        Raster picture = drawn(0, 30);
        Large first = kept.of(picture, new Colors(16), () -> new Large(1));
        assertThat(kept.of(picture, new Colors(16), () -> new Large(2))).isSameAs(first);
        kept.of(picture, new Colors(8), () -> new Large(3));
        assertThat(kept.of(picture, new Colors(16), () -> new Large(4))).isEqualTo(new Large(4));
    }

    @Test
    void aPictureThatIsOnlyLikeOneIsAnother() {
        work(drawn(0, 60), 16);
        work(Raster.of(SIZE, SUNRISE.get(0).argb()), 16);
        work(Raster.of(SIZE, SUNRISE.get(0).argb()), 16);
        assertThat(worked).as("nothing is remembered of what is not kept").hasValue(3);
    }
}
