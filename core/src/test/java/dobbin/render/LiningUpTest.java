package dobbin.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Affine;
import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.Placement;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Aligned;
import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.skerry.SkerryPoint;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LiningUpTest {
    private static final Size SIZE = new Size(480, 320);
    private static final Raster SCENE =
            SkerryPoint.sunrise(3, new Size(720, 480)).get(2);
    private static final String FIRST = "1".repeat(64);
    private static final String MOVED = "2".repeat(64);
    private static final String OTHER_VIEW = "3".repeat(64);
    private static final Map<String, Raster> PICTURES =
            Map.of(FIRST, seen(0, 0, 0), MOVED, seen(14, -9, 2.5), OTHER_VIEW, Raster.of(SIZE, noise(SIZE)));
    private static final Pictures SOURCE = (name, level) -> level.of(PICTURES.get(name));

    /** The scene through a camera that was moved and turned. */
    private static Raster seen(double dx, double dy, double turn) {
        Affine camera =
                Affine.shift(-360 + dx, -240 + dy).then(Affine.turn(turn)).then(Affine.shift(240, 160));
        int[] argb = new int[(int) SIZE.area()];
        Placement.draw(SCENE, camera, Bounds.all(SIZE))
                .ifPresent(layer -> Compositor.over(layer.raster(), layer.x(), layer.y(), argb, SIZE));
        return Raster.of(SIZE, argb);
    }

    private static int[] noise(Size size) {
        Random random = new Random(4);
        return random.ints(size.area()).map(each -> each | 0xFF000000).toArray();
    }

    private static Still still(String picture, Fit.Way way) {
        return new Still(picture, "View.png", SIZE, new Fit(way, 0.5, 0.5, ""));
    }

    private static Raster drawn(Still still, Size canvas) {
        return Renderer.draw(Reel.empty("Views").withCanvas(canvas), Frame.of(1, 100, still), SOURCE, canvas);
    }

    /** The mean of how far channels are apart, in levels, a margin left out. */
    private static double apart(Raster a, Raster b) {
        double sum = 0;
        int count = 0;
        for (int y = 40; y < a.height() - 40; y++) {
            for (int x = 40; x < a.width() - 40; x++, count++) {
                for (int shift = 0; shift < 24; shift += 8) {
                    sum += Math.abs((a.pixel(x, y) >> shift & 0xFF) - (b.pixel(x, y) >> shift & 0xFF)) / 3.0;
                }
            }
        }
        return sum / count;
    }

    @Test
    void aStillIsDrawnWhereTheOtherOneShowsTheSame() {
        Still to = still(FIRST, Fit.Way.FILL);
        Still still = still(MOVED, Fit.Way.FILL);
        Aligned found = new LiningUp(to, SIZE, SOURCE).of(still).orElseThrow();
        assertThat(found.turn()).isCloseTo(-2.5, within(0.05));
        assertThat(found.sure()).isGreaterThan(0.8);
        Raster other = drawn(to, SIZE);
        assertThat(apart(drawn(still, SIZE), other)).isGreaterThan(5);
        assertThat(apart(drawn(still.withAligned(found), SIZE), other)).isLessThan(1);
    }

    @Test
    void theOtherOneMayLieOnTheCanvasInAnotherWay() {
        Size canvas = new Size(400, 300);
        Still to = still(FIRST, Fit.Way.FILL);
        Still still = still(MOVED, Fit.Way.INSIDE);
        Aligned found = new LiningUp(to, canvas, SOURCE).of(still).orElseThrow();
        assertThat(found.scale()).as("as large as what fills the canvas").isGreaterThan(1.1);
        assertThat(apart(drawn(still.withAligned(found), canvas), drawn(to, canvas)))
                .isLessThan(1);
    }

    @Test
    void whatDoesNotMatchIsNotMoved() {
        LiningUp liningUp = new LiningUp(still(FIRST, Fit.Way.FILL), SIZE, SOURCE);
        assertThat(liningUp.of(still(OTHER_VIEW, Fit.Way.FILL))).isEmpty();
        assertThat(liningUp.of(still(FIRST, Fit.Way.FILL)).orElseThrow().none()).isTrue();
    }

    @Test
    void whatAllCoverIsTheLargestBoxWithoutRaggedEdges() {
        List<Still> stills = List.of(
                still(FIRST, Fit.Way.FILL),
                still(MOVED, Fit.Way.FILL).withAligned(new Aligned(12, -8, 0, 1, 1)),
                still(MOVED, Fit.Way.FILL).withAligned(new Aligned(-20, 0, 0, 1, 1)));
        Bounds box = LiningUp.common(stills, SIZE);
        assertThat(box).isEqualTo(new Bounds(13, 1, 459, 311));
        stills.forEach(
                still -> assertThat(drawn(still, SIZE).cut(box).isOpaque()).isTrue());
    }
}
