package dobbin.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
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
}
