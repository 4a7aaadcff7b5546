package dobbin.raster;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class BoundsBuilderTest {
    private final BoundsBuilder builder = new BoundsBuilder();

    @Test
    void nothingIsAnEmptyBox() {
        assertThat(builder.bounds()).isEqualTo(new Bounds(0, 0, 0, 0));
    }

    @Test
    void aPixelIsABoxOfOne() {
        builder.add(4, 7);
        assertThat(builder.bounds()).isEqualTo(new Bounds(4, 7, 5, 8));
    }

    @Test
    void theBoxReachesAsFarAsWhatWasAdded() {
        builder.add(4, 7);
        builder.add(-2, 9);
        builder.add(0, 1, 3, 2);
        assertThat(builder.bounds()).isEqualTo(new Bounds(-2, 1, 5, 10));
    }
}
