package dobbin.plate;

import static dobbin.plate.Drawn.INK;
import static dobbin.plate.Drawn.PAPER;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PlateTest {
    private static Plate plate(Drawn drawn) {
        return new Plate(drawn.picture(), Plate.USUAL_TOLERANCE);
    }

    /** Three rows of four discs of many sizes, each somewhere in its cell of 60 x 50. */
    private static Drawn discs(Random random, int ground) {
        Drawn drawn = new Drawn(240, 150, ground);
        for (int i = 0; i < 12; i++) {
            double x = i % 4 * 60 + 26 + random.nextInt(8);
            double y = i / 4 * 50 + 22 + random.nextInt(6);
            drawn.disc(x, y, 10 + random.nextInt(9), INK);
        }
        return drawn;
    }

    @Test
    void theGroundIsWhatMostOfTheEdgeIs() {
        assertThat(plate(new Drawn(40, 30, PAPER).box(0, 5, 6, 20, INK)).ground())
                .isEqualTo(new Ground(false, 0xF6F1E7));
        assertThat(plate(new Drawn(40, 30, 0).disc(20, 15, 8, INK)).ground()).isEqualTo(Ground.NOTHING);
    }

    @Test
    void aGridIsFoundByWhatIsBareBetweenDrawings() {
        for (int seed = 0; seed < 30; seed++) {
            Grid found =
                    plate(discs(new Random(seed), seed % 2 == 0 ? PAPER : 0)).grid();
            assertThat(found).as("seed %d", seed).isEqualTo(new Grid(3, 4, 0, 0, 0, 0));
        }
        assertThat(plate(new Drawn(90, 60, PAPER).disc(45, 30, 20, INK)).grid()).isEqualTo(new Grid(1, 1, 0, 0, 0, 0));
    }

    @Test
    void picturesInEvenRowsHaveMarginsAndGutters() {
        Drawn drawn = new Drawn(10 + 3 * 40 + 2 * 6 + 10, 8 + 2 * 30 + 4 + 8, PAPER);
        for (int i = 0; i < 6; i++) {
            drawn.box(10 + i % 3 * 46, 8 + i / 3 * 34, 40, 30, 0xFF203040 + 0x101010 * i);
        }
        Grid grid = plate(drawn).grid();
        assertThat(grid).isEqualTo(new Grid(2, 3, 10, 8, 6, 4));
        assertThat(grid.cells(new Size(152, 80)).get(4)).isEqualTo(new Bounds(56, 42, 96, 72));
        assertThat(new Grid(2, 3, 80, 0, 0, 0).fits(new Size(152, 80))).isFalse();
    }

    @Test
    void cellsWithNothingInThemAreLeftOut() {
        Drawn drawn = discs(new Random(1), PAPER).box(60, 0, 60, 50, PAPER);
        Plate plate = plate(drawn);
        List<Bounds> cells = plate.cells(new Grid(3, 4, 0, 0, 0, 0), false);
        assertThat(cells).hasSize(11).startsWith(new Bounds(0, 0, 60, 50), new Bounds(120, 0, 180, 50));
        assertThat(plate.cells(new Grid(3, 4, 0, 0, 0, 0), true))
                .startsWith(new Bounds(0, 0, 60, 50), new Bounds(0, 50, 60, 100));
    }

    @Test
    void piecesAreReadInRowsThoughTheyDoNotStandInLine() {
        Drawn drawn = new Drawn(200, 120, PAPER)
                .disc(150, 34, 14, INK)
                .disc(90, 24, 14, INK)
                .disc(30, 30, 14, INK)
                .disc(60, 86, 18, INK)
                .disc(140, 92, 10, INK);
        assertThat(middles(plate(drawn).pieces(0, false)))
                .containsExactly("30,30", "90,24", "150,34", "60,86", "140,92");
        assertThat(middles(plate(drawn).pieces(0, true)))
                .containsExactly("30,30", "60,86", "90,24", "150,34", "140,92");
    }

    private static List<String> middles(List<Bounds> pieces) {
        return pieces.stream()
                .map(piece -> (piece.left() + piece.right()) / 2 + "," + (piece.top() + piece.bottom()) / 2)
                .toList();
    }

    @Test
    void partsOfOneDrawingAreJoinedAndSpecksAreNone() {
        Drawn drawn = new Drawn(120, 60, PAPER)
                .box(10, 10, 20, 30, INK)
                .box(35, 10, 20, 30, INK)
                .box(80, 10, 20, 30, INK)
                .box(110, 50, 1, 2, INK);
        assertThat(plate(drawn).pieces(0, false)).hasSize(3);
        assertThat(plate(drawn).pieces(6, false))
                .containsExactly(new Bounds(10, 10, 55, 40), new Bounds(80, 10, 100, 40));
    }

    private static List<Raster> cut(Drawn drawn, Centering centering) {
        Plate plate = plate(drawn);
        Cutting how = new Cutting(true, false, Plate.USUAL_TOLERANCE, centering);
        return Cutter.cut(drawn.picture(), plate.ground(), plate.pieces(0, false), how);
    }

    @Test
    void drawingsAreCenteredOnOneAnotherAndTrimmed() {
        Drawn drawn = new Drawn(120, 80, 0)
                .box(5, 10, 20, 40, INK)
                .box(40, 22, 30, 20, INK)
                .box(90, 20, 10, 10, INK);
        List<Raster> byBox = cut(drawn, Centering.BOX);
        assertThat(byBox).extracting(Raster::size).containsOnly(new Size(30, 40));
        assertThat(rowsDrawn(byBox.get(1))).isEqualTo("10 to 29");
        assertThat(rowsDrawn(byBox.get(2))).isEqualTo("15 to 24");
        List<Raster> byFoot = cut(drawn, Centering.FOOT);
        assertThat(byFoot).extracting(Raster::size).containsOnly(new Size(30, 40));
        assertThat(byFoot).extracting(PlateTest::rowsDrawn).containsExactly("0 to 39", "20 to 39", "30 to 39");
    }

    /** A heavy block with a light pole: what it balances on is in the block. */
    @Test
    void byWeightTheHeavyPartStaysInPlace() {
        Drawn drawn = new Drawn(160, 60, 0)
                .box(10, 20, 20, 20, INK)
                .box(60, 20, 20, 20, INK)
                .box(80, 29, 16, 2, INK)
                .box(120, 20, 20, 20, INK)
                .box(104, 29, 16, 2, INK);
        List<Raster> pictures = cut(drawn, Centering.WEIGHT);
        assertThat(pictures).hasSize(3);
        for (Raster picture : pictures) {
            int left = firstColumn(picture, 2);
            assertThat(left).isCloseTo(firstColumn(pictures.get(0), 2), within(1));
        }
    }

    private static String rowsDrawn(Raster picture) {
        int first = -1;
        int last = -1;
        for (int y = 0; y < picture.height(); y++) {
            if (picture.pixel(picture.width() / 2, y) != 0) {
                first = first < 0 ? y : first;
                last = y;
            }
        }
        return first + " to " + last;
    }

    /** @return the first column of the block, which is drawn at its upper edge too */
    private static int firstColumn(Raster picture, int below) {
        for (int x = 0; x < picture.width(); x++) {
            if (picture.pixel(x, picture.height() / 2 - 10 + below) != 0) {
                return x;
            }
        }
        return -1;
    }

    @Test
    void cellsAsTheyLieKeepTheWayTheyMove() {
        Drawn drawn = new Drawn(120, 40, PAPER)
                .box(10, 8, 10, 10, INK)
                .box(64, 12, 10, 10, INK)
                .box(98, 20, 10, 10, INK);
        Plate plate = plate(drawn);
        List<Raster> frames = Cutter.cut(
                drawn.picture(),
                plate.ground(),
                plate.cells(new Grid(1, 3, 0, 0, 0, 0), false),
                new Cutting(false, false, Plate.USUAL_TOLERANCE, Centering.NONE));
        assertThat(frames).extracting(Raster::size).containsOnly(new Size(24, 22));
        assertThat(frames.get(0).pixel(6, 0)).isEqualTo(INK);
        assertThat(frames.get(1).pixel(20, 4)).isEqualTo(INK);
        assertThat(frames.get(2).pixel(14, 12)).isEqualTo(INK);
        assertThat(frames.get(2).pixel(0, 0)).isEqualTo(PAPER);
    }

    @Test
    void theEdgeIsCleanOnAnyOtherGround() {
        Raster drawn = new Drawn(60, 60, PAPER).disc(30.3, 29.6, 20, 0xFFB23E28).picture();
        Raster clear = Cutter.cut(
                        drawn,
                        Ground.of(drawn),
                        List.of(Bounds.all(drawn.size())),
                        new Cutting(true, false, 0.02, Centering.NONE))
                .get(0);
        Raster wanted =
                new Drawn(60, 60, 0xFF203040).disc(30.3, 29.6, 20, 0xFFB23E28).picture();
        int offX = 30 - clear.width() / 2;
        int offY = 29 - clear.height() / 2;
        int worst = 0;
        for (int y = 0; y < clear.height(); y++) {
            for (int x = 0; x < clear.width(); x++) {
                int pixel = clear.pixel(x, y);
                int other = wanted.pixel(x + offX, y + offY);
                for (int shift = 0; shift < 24; shift += 8) {
                    double alpha = (pixel >>> 24) / 255.0;
                    double laid = alpha * (pixel >> shift & 0xFF) + (1 - alpha) * (0xFF203040 >> shift & 0xFF);
                    worst = Math.max(worst, (int) Math.abs(Math.round(laid) - (other >> shift & 0xFF)));
                }
            }
        }
        assertThat(worst).as("levels from a disc that was drawn there").isLessThanOrEqualTo(6);
    }

    @Test
    void whatADrawingEnclosesStaysUnlessItIsToGo() {
        Drawn ring = new Drawn(40, 40, PAPER).disc(20, 20, 15, INK).disc(20, 20, 8, PAPER);
        List<Bounds> all = List.of(new Bounds(0, 0, 40, 40));
        Ground ground = new Ground(false, 0xF6F1E7);
        Raster kept = Cutter.cut(ring.picture(), ground, all, new Cutting(true, false, 0.05, Centering.BOX))
                .get(0);
        Raster cleared = Cutter.cut(ring.picture(), ground, all, new Cutting(true, true, 0.05, Centering.BOX))
                .get(0);
        assertThat(kept.pixel(15, 15)).isEqualTo(PAPER);
        assertThat(cleared.pixel(15, 15)).isZero();
        assertThat(kept.pixel(0, 0)).isZero();
    }
}
