package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Crop;
import dobbin.reel.Fit;
import dobbin.reel.Framing;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Scaling;
import dobbin.reel.Still;
import dobbin.render.Renderer;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CropCanvasTest {
    private static final Size CANVAS = new Size(60, 40);
    private static final Size TALL = new Size(30, 45);

    private static Raster pattern(Size size) {
        int[] argb = new int[(int) size.area()];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = 0xFF000000 | (i % size.width() * 4) << 16 | (i / size.width() * 5) << 8 | 0x40;
        }
        return Raster.of(size, argb);
    }

    private static Reel reel() {
        Reel reel = Edit.apply(
                new AddStills(
                        List.of(
                                new NewStill("a".repeat(64), "Tide", CANVAS, 100),
                                new NewStill("b".repeat(64), "Tall", TALL, 100)),
                        0),
                Reel.empty("Tide"));
        reel = Edit.apply(new SetCanvas(CANVAS.width(), CANVAS.height()), reel);
        return Edit.apply(new AddCutout("Disc", Moving.BADGE, Pose.at(30, 20), 1), reel);
    }

    private static Raster drawn(Reel reel, int frame) {
        return Renderer.draw(
                reel,
                reel.frames().get(frame),
                (name, level) -> pattern(name.startsWith("a") ? CANVAS : TALL),
                reel.canvas());
    }

    @ParameterizedTest
    @EnumSource(value = Fit.Way.class, names = "PLACED", mode = EnumSource.Mode.EXCLUDE)
    void everyPixelStaysWhereItWasSeen(Fit.Way way) {
        Reel reel = Edit.apply(new SetFit(List.of(1, 2), new Fit(way, 0.5, 0.5, "102030")), reel());
        Reel cropped = Edit.apply(new CropCanvas(10, 5, 37, 29), reel);
        Bounds part = new Bounds(10, 5, 47, 34);
        assertThat(cropped.canvas()).isEqualTo(new Size(37, 29));
        assertThat(drawn(cropped, 0)).isEqualTo(drawn(reel, 0).cut(part));
        assertThat(drawn(cropped, 1)).isEqualTo(drawn(reel, 1).cut(part));
        Reel twice = Edit.apply(new CropCanvas(3, 4, 20, 20), cropped);
        assertThat(drawn(twice, 1)).isEqualTo(drawn(cropped, 1).cut(new Bounds(3, 4, 23, 24)));
        assertThat(((Still) twice.frames().get(0).content()).fit().way()).isEqualTo(Fit.Way.PLACED);
    }

    @Test
    void theDeliveredPartIsWhatIsLeftOfIt() {
        Crop part = new Crop(10, 5, 37, 29);
        Reel reel = reel();
        Reel delivered =
                Edit.apply(new SetDelivery(reel.delivery().with(new Framing(part, 74, 0, 1, Scaling.SMOOTH, 1))), reel);
        Reel made = Edit.apply(new CropCanvas(10, 5, 37, 29), delivered);
        assertThat(made.delivery().framing().crop()).isEqualTo(Crop.WHOLE);
        assertThat(made.deliveredSize()).isEqualTo(delivered.deliveredSize());
        Reel other = Edit.apply(new CropCanvas(0, 0, 30, 40), delivered);
        assertThat(other.delivery().framing().crop()).isEqualTo(new Crop(10, 5, 20, 29));
    }

    /** Whatever the delivered part and its size are, making it the canvas changes neither. */
    @Test
    void anyDeliveredPartCanBecomeTheCanvas() {
        Reel reel = reel();
        int made = 0;
        for (int seed = 0; seed < 500; seed++) {
            Random random = new Random(seed);
            int x = random.nextInt(CANVAS.width());
            int y = random.nextInt(CANVAS.height());
            Crop part = new Crop(x, y, 1 + random.nextInt(CANVAS.width() - x), 1 + random.nextInt(CANVAS.height() - y));
            int how = random.nextInt(4);
            Framing framing = new Framing(
                    part,
                    how == 1 ? 1 + random.nextInt(1600) : 0,
                    how == 2 ? 1 + random.nextInt(1600) : 0,
                    how == 3 ? 1 + random.nextInt(20) : 1,
                    Scaling.SMOOTH,
                    1 + random.nextInt(3));
            if (!framing.fits(CANVAS)) {
                continue;
            }
            Reel delivered = Edit.apply(new SetDelivery(reel.delivery().with(framing)), reel);
            Reel cropped = Edit.apply(new CropCanvas(part.x(), part.y(), part.width(), part.height()), delivered);
            assertThat(cropped.delivery().framing()).as("seed %d", seed).isEqualTo(framing.withCrop(Crop.WHOLE));
            assertThat(cropped.deliveredSize()).as("seed %d", seed).isEqualTo(delivered.deliveredSize());
            made++;
        }
        assertThat(made).isGreaterThan(300);
    }

    @Test
    void whereWhatIsLeftCannotBeSoLargeItsSizeFollowsTheCanvas() {
        Reel reel = reel();
        Reel delivered = Edit.apply(
                new SetDelivery(reel.delivery().with(new Framing(Crop.WHOLE, 0, 800, 1, Scaling.SMOOTH, 1))), reel);
        Reel flat = Edit.apply(new CropCanvas(0, 0, 60, 2), delivered);
        assertThat(flat.deliveredSize()).isEqualTo(new Size(60, 2));
    }

    @Test
    void aBoxThatIsNotOnTheCanvasIsRefused() {
        assertThatThrownBy(() -> Edit.apply(new CropCanvas(30, 0, 31, 10), reel()))
                .isInstanceOf(EditRejected.class)
                .hasMessageContaining("from 1 to 30");
        assertThatThrownBy(() -> Edit.apply(new CropCanvas(0, 0, 0, 10), reel()))
                .hasMessageContaining("from 1 to 60");
        assertThatThrownBy(() -> Edit.apply(new CropCanvas(70, 0, 1, 1), reel()))
                .isInstanceOf(EditRejected.class);
        assertThat(new CropCanvas(10, 5, 37, 29).title(reel())).isEqualTo("Crop the canvas to 37 × 29");
    }
}
