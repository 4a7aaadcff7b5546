package dobbin.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.skerry.SkerryPoint;
import dobbin.slim.Drawing;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.slim.Stages;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class PictureMemoryTest {
    private static final Raster PICTURE = Raster.filled(new Size(2, 2), 0xFF123456);

    private final PictureMemory memory = new PictureMemory();
    private final List<Object> worked = new ArrayList<>();

    private record Blurred(int radius) {}

    private record Turned(int degrees) {}

    private String ask(Object picture, Object terms) {
        return memory.of(picture, terms, () -> {
            worked.add(terms);
            return "done " + terms;
        });
    }

    @Test
    void theLastTwoOfEachKindAreKnown() {
        ask(PICTURE, new Turned(90));
        ask(PICTURE, new Blurred(1));
        ask(PICTURE, new Blurred(2));
        ask(PICTURE, new Blurred(1));
        assertThat(ask(PICTURE, new Blurred(3))).isEqualTo("done Blurred[radius=3]");
        worked.clear();
        assertThat(ask(PICTURE, new Blurred(1))).isEqualTo("done Blurred[radius=1]");
        ask(PICTURE, new Turned(90));
        assertThat(worked).isEmpty();
        ask(PICTURE, new Blurred(2));
        assertThat(worked).containsExactly(new Blurred(2));
    }

    @Test
    void aPictureLikeItIsAnotherPicture() {
        ask(PICTURE, new Blurred(1));
        ask(Raster.filled(new Size(2, 2), 0xFF123456), new Blurred(1));
        assertThat(worked).hasSize(2);
    }

    /** Whatever is remembered of pictures would keep them, and itself, for good if it referred to them. */
    @Test
    void nothingStaysOfALoopThatNobodyKeeps() throws Exception {
        assertThat(picturesAfterEncodingALoop()).isGreaterThan(4);
        for (int patience = 0; memory.pictures() > 0 && patience < 100; patience++) {
            System.gc();
            Thread.sleep(20);
        }
        assertThat(memory.pictures()).isZero();
    }

    private long picturesAfterEncodingALoop() {
        Size size = new Size(48, 32);
        List<Raster> sunrise = SkerryPoint.sunrise(4, size);
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < sunrise.size(); i++) {
            stills.add(new NewStill(String.format("%064x", i), "Sunrise " + i, size, 40));
        }
        Reel reel = Edit.apply(new AddStills(stills, 0), Reel.empty("Memory"));
        Drawing drawing = (it, tracks, frame, delivered) ->
                sunrise.get(Integer.parseInt(((Still) frame.content()).picture().substring(56), 16));
        new Slim(Runnable::run, Stages.UNTOLD, memory).encode(reel, drawing, Progress.NONE);
        return memory.pictures();
    }
}
