package dobbin.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.sun.management.ThreadMXBean;
import dobbin.edit.AddCutout;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.GroupCutouts;
import dobbin.edit.HideCutouts;
import dobbin.edit.LayCutouts;
import dobbin.edit.NewStill;
import dobbin.edit.Placed;
import dobbin.edit.RemoveFrames;
import dobbin.edit.Scope;
import dobbin.edit.SetBackdrop;
import dobbin.edit.SetBorder;
import dobbin.edit.SetPoses;
import dobbin.lettering.OwnTypeface;
import dobbin.lettering.TextBlock.Align;
import dobbin.lettering.Typeface;
import dobbin.raster.Blend;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Art;
import dobbin.reel.Border;
import dobbin.reel.ContentName;
import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Fill;
import dobbin.reel.Frame;
import dobbin.reel.Key;
import dobbin.reel.PictureRef;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Shadow;
import dobbin.reel.Shape;
import dobbin.reel.Words;
import dobbin.skerry.DemoFile;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import dobbin.timing.Easing;
import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class CutoutsTest {
    private static final Size CANVAS = new Size(60, 40);
    private static final int SKY = 0xFF9CC3E0;
    private static final int RED = 0xFFB23E28;
    private static final int GREEN = 0xFF2F6B3A;
    private static final Shape SQUARE = new Shape(Shape.Form.RECTANGLE, 10, 10, 5, 0, Fill.of("b23e28"), 0, "000000");

    /** "a…" is the sky, "b…" and "c…" are red and green pictures of 10 by 10. */
    private static Raster picture(String name) {
        return switch (name.charAt(0)) {
            case 'a' -> Raster.filled(CANVAS, SKY);
            case 'b' -> Raster.filled(new Size(10, 10), RED);
            default -> Raster.filled(new Size(10, 10), GREEN);
        };
    }

    private static Reel sky() {
        NewStill still = new NewStill("a".repeat(64), "sky", CANVAS, 0);
        return Edit.apply(new AddStills(List.of(still, still, still), 0), Reel.empty("Sky"));
    }

    private static Reel with(Art art, Pose pose) {
        return Edit.apply(new AddCutout("One", art, pose, 1), sky());
    }

    private static Raster drawn(Reel reel, int number, Size size) {
        return Renderer.draw(reel, reel.frames().get(number - 1), (name, level) -> picture(name), size);
    }

    private static Raster drawn(Reel reel) {
        return drawn(reel, 1, CANVAS);
    }

    @Test
    void aPictureLiesAroundItsPivotPixelByPixel() {
        Raster drawn = drawn(with(Cycle.dealt(List.of(ref("b")), 1), Pose.at(20, 15)));
        for (int y = 0; y < 40; y++) {
            for (int x = 0; x < 60; x++) {
                boolean inside = x >= 15 && x < 25 && y >= 10 && y < 20;
                assertThat(drawn.pixel(x, y)).isEqualTo(inside ? RED : SKY);
            }
        }
    }

    private static PictureRef ref(String letter) {
        return new PictureRef(letter.repeat(64), new Size(10, 10));
    }

    private static Raster pressed(Words words, int x, int y, Size size) {
        Reel reel = sky();
        Cutout cutout = Cutout.of(99, "Words", words, new Key(1, Pose.at(0, 0), Easing.EVEN));
        return Renderer.artAt(reel, cutout, reel.frames().get(0), (name, level) -> picture(name), x, y, size);
    }

    private static Words words(String text, int size) {
        return Words.of(text, Typeface.PLAIN, Typeface.Weight.BOLD, size, "b23e28", Align.LEFT);
    }

    /** 985,000 by 2,400 pixels, of which the canvas shows 60 by 40. */
    @Test
    void ofFiveHundredLetters2000PixelsLargeWhatIsSeenAloneIsMade() {
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        long thread = Thread.currentThread().getId();
        long before = threads.getThreadAllocatedBytes(thread);
        Raster seen = pressed(words("W".repeat(500), 2_000), -200_000, -1_000, CANVAS);
        assertThat(threads.getThreadAllocatedBytes(thread) - before).isLessThan(100_000_000);
        assertThat(seen.size()).isEqualTo(CANVAS);
        Raster whole = pressed(words("Skerry", 60), 0, 0, new Size(300, 100));
        assertThat(pressed(words("Skerry", 60), -40, -30, CANVAS)).isEqualTo(whole.cut(new Bounds(40, 30, 100, 70)));
    }

    @Test
    void picturesOfACycleTakeTurns() {
        Reel reel = with(Cycle.dealt(List.of(ref("b"), ref("c")), 1), Pose.at(20, 15));
        assertThat(List.of(drawn(reel, 1, CANVAS), drawn(reel, 2, CANVAS), drawn(reel, 3, CANVAS)))
                .extracting(raster -> raster.pixel(20, 15))
                .containsExactly(RED, GREEN, RED);
        Reel fewer = Edit.apply(new RemoveFrames(List.of(1)), reel);
        assertThat(List.of(drawn(fewer, 1, CANVAS), drawn(fewer, 2, CANVAS)))
                .as("frames keep their pictures when another goes")
                .extracting(raster -> raster.pixel(20, 15))
                .containsExactly(GREEN, RED);
        Reel slow = with(new Cycle(List.of(ref("b"), ref("c")), Cycle.Turns.KEPT, 2, 1), Pose.at(20, 15));
        assertThat(List.of(drawn(slow, 1, CANVAS), drawn(slow, 2, CANVAS), drawn(slow, 3, CANVAS)))
                .extracting(raster -> raster.pixel(20, 15))
                .containsExactly(RED, GREEN, GREEN);
    }

    @Test
    void aShapeIsAsLargeAsItsPoseSaysAtAnySizeOfTheFile() {
        Reel reel = with(SQUARE, Pose.at(30, 20).withScale(2, 2));
        assertThat(count(drawn(reel), RED)).isEqualTo(400);
        assertThat(count(drawn(reel, 1, new Size(120, 80)), RED)).isEqualTo(1600);
        assertThat(count(drawn(reel, 1, new Size(30, 20)), RED)).isEqualTo(100);
    }

    private static long count(Raster raster, int color) {
        return java.util.Arrays.stream(raster.argb())
                .filter(pixel -> pixel == color)
                .count();
    }

    @Test
    void fourQuarterTurnsAreNothing() {
        Reel reel = with(Cycle.dealt(List.of(ref("b")), 1), Pose.at(20, 15));
        Reel turned = Edit.apply(
                new SetPoses(List.of(new Placed(4, Pose.at(20, 15).withTurn(360))), 1, Scope.EVERYWHERE), reel);
        assertThat(drawn(turned)).isEqualTo(drawn(reel));
    }

    @Test
    void underTheStillsBlendAndOpacity() {
        Reel reel = with(SQUARE, Pose.at(30, 20));
        Reel under = Edit.apply(new LayCutouts(List.of(4), true, Blend.NORMAL, Shadow.NONE), reel);
        assertThat(count(drawn(under), SKY)).isEqualTo(2400);
        Reel multiplied = Edit.apply(new LayCutouts(List.of(4), false, Blend.MULTIPLY, Shadow.NONE), reel);
        assertThat(drawn(multiplied).pixel(30, 20)).isEqualTo(0xFF6D2F23);
        Reel faint =
                Edit.apply(new SetPoses(List.of(new Placed(4, Pose.at(30, 20).withOpacity(0))), 1, Scope.HERE), reel);
        assertThat(count(drawn(faint), SKY)).isEqualTo(2400);
        Reel hidden = Edit.apply(new HideCutouts(List.of(4), true), reel);
        assertThat(count(drawn(hidden), SKY)).isEqualTo(2400);
    }

    @Test
    void aShadowFallsWhereItShould() {
        Reel reel = Edit.apply(
                new LayCutouts(List.of(4), false, Blend.NORMAL, new Shadow(10, 0, 0, "000000", 1)),
                with(SQUARE, Pose.at(20, 20)));
        assertThat(drawn(reel).pixel(20, 20)).isEqualTo(RED);
        assertThat(count(drawn(reel), 0xFF000000)).isEqualTo(100);
        Reel soft =
                Edit.apply(new LayCutouts(List.of(4), false, Blend.NORMAL, new Shadow(10, 0, 3, "000000", 1)), reel);
        assertThat(count(drawn(soft), 0xFF000000)).isLessThan(40);
        assertThat(drawn(soft).pixel(40, 20)).isNotEqualTo(SKY);
        Reel beyond = Edit.apply(new SetPoses(List.of(new Placed(4, Pose.at(-5, 20))), 1, Scope.HERE), reel);
        assertThat(count(drawn(beyond), 0xFF000000))
                .as("cast by what is off the canvas")
                .isEqualTo(100);
    }

    @Test
    void aBackdropShowsWhereNothingElseDoesAndTheBorderOverAll() {
        Reel clear = Edit.apply(
                new AddStills(List.of(new NewStill("b".repeat(64), "small", new Size(10, 10), 0)), 0),
                Reel.empty("Small").withCanvas(CANVAS));
        Reel wide = Edit.apply(new dobbin.edit.SetCanvas(20, 10), clear);
        Reel backed = Edit.apply(new SetBackdrop(Fill.of("9cc3e0")), wide);
        Size size = new Size(20, 10);
        assertThat(drawn(backed, 1, size).pixel(1, 5)).isEqualTo(SKY);
        assertThat(drawn(backed, 1, size).pixel(10, 5)).isEqualTo(RED);
        Reel bordered = Edit.apply(new SetBorder(new Border(2, "1e2a32", 0)), backed);
        assertThat(count(drawn(bordered, 1, size), 0xFF1E2A32)).isEqualTo(200 - 16 * 6);
        Reel round = Edit.apply(new SetBorder(new Border(0, "1e2a32", 5)), backed);
        assertThat(drawn(round, 1, size).pixel(0, 0) >>> 24).isLessThan(64);
        assertThat(drawn(round, 1, size).pixel(10, 0)).isEqualTo(RED);
        Reel faded = Edit.apply(new SetBackdrop(new Fill("000000", "ffffff", 0)), wide);
        assertThat(drawn(faded, 1, size).pixel(1, 5) & 0xFF)
                .isLessThan(drawn(faded, 1, size).pixel(18, 5) & 0xFF);
    }

    @Test
    void groupingChangesNoPixel() {
        Reel two = Edit.apply(
                new AddCutout("Two", SQUARE, Pose.at(33, 22).withTurn(20).withOpacity(0.5), 2),
                with(SQUARE, Pose.at(30, 20)));
        Reel multiplied = Edit.apply(new LayCutouts(List.of(5), false, Blend.MULTIPLY, Shadow.NONE), two);
        Reel grouped = Edit.apply(new GroupCutouts(List.of(4, 5), "Both", 1), multiplied);
        assertThat(drawn(grouped)).isEqualTo(drawn(multiplied));
    }

    @Test
    void lettersComeAsFarAsTheyAreShownInColorsThatWalk() {
        Words words = Words.of("II", Typeface.TYPED, Typeface.Weight.BOLD, 30, "b23e28", Align.LEFT);
        Reel reel = with(words, Pose.at(30, 20).withShown(0.5));
        Raster drawn = drawn(reel);
        assertThat(red(drawn, 0, 30)).isGreaterThan(40);
        assertThat(red(drawn, 30, 60)).isZero();
        Reel walking = with(
                words.withColors(List.of("b23e28", "2f6b3a")), Pose.at(30, 20).withWalk(1));
        assertThat(red(drawn(walking), 0, 30)).isZero();
        assertThat(red(drawn(walking), 30, 60)).isGreaterThan(40);
    }

    private static int red(Raster raster, int from, int to) {
        int found = 0;
        for (int y = 0; y < raster.height(); y++) {
            for (int x = from; x < to; x++) {
                found += raster.pixel(x, y) == RED ? 1 : 0;
            }
        }
        return found;
    }

    @Test
    void onlyFramesThatLookOtherwiseHaveAnotherName() {
        Reel reel = with(SQUARE, Pose.at(20, 20));
        Reel moved = Edit.apply(new SetPoses(List.of(new Placed(4, Pose.at(40, 20))), 3, Scope.HERE), reel);
        assertThat(new RenderKeys(moved).of(moved.frames().get(0)))
                .isEqualTo(new RenderKeys(reel).of(reel.frames().get(0)));
        assertThat(new RenderKeys(moved).of(moved.frames().get(1)))
                .isNotEqualTo(new RenderKeys(reel).of(reel.frames().get(1)));
        Reel hidden = Edit.apply(new HideCutouts(List.of(4), true), reel);
        assertThat(new RenderKeys(hidden).of(hidden.frames().get(0)))
                .isEqualTo(new RenderKeys(sky()).of(sky().frames().get(0)));
    }

    @Test
    void hugeFlatAndFarAwayOnesAreDrawnAsFarAsTheyAreSeen() {
        assertThat(count(drawn(with(SQUARE, Pose.at(30, 20).withScale(1000, 1000))), RED))
                .isEqualTo(2400);
        assertThat(count(drawn(with(SQUARE, Pose.at(30, 20).withScale(0, 5))), SKY))
                .isEqualTo(2400);
        assertThat(count(drawn(with(SQUARE, Pose.at(90_000, -90_000))), SKY)).isEqualTo(2400);
    }

    private static Raster shape(Shape.Form form, int points, double stroke) {
        Shape shape = new Shape(form, 30, 20, points, 0, Fill.of("b23e28"), stroke, "2f6b3a");
        return drawn(with(shape, Pose.at(30, 20)));
    }

    @Test
    void shapesHaveTheirForms() {
        assertThat(count(shape(Shape.Form.RECTANGLE, 3, 0), RED)).isEqualTo(600);
        assertThat(covered(shape(Shape.Form.ELLIPSE, 3, 0))).isCloseTo(Math.PI * 15 * 10, within(12.0));
        assertThat(covered(shape(Shape.Form.POLYGON, 4, 0))).isCloseTo(300, within(8.0));
        assertThat(covered(shape(Shape.Form.STAR, 5, 0))).isLessThan(covered(shape(Shape.Form.POLYGON, 5, 0)));
        assertThat(count(shape(Shape.Form.LINE, 3, 4), GREEN)).isEqualTo(34 * 4);
        Raster arrow = shape(Shape.Form.ARROW, 3, 4);
        assertThat(arrow.pixel(20, 20)).isEqualTo(GREEN);
        assertThat(arrow.pixel(20, 26)).as("the shaft is thin").isEqualTo(SKY);
        assertThat(arrow.pixel(32, 24)).as("the head is wide").isEqualTo(GREEN);
    }

    /** How many pixels are not sky, soft edges counted by half. */
    private static double covered(Raster raster) {
        double covered = 0;
        for (int pixel : raster.argb()) {
            covered += pixel == RED ? 1 : pixel == SKY ? 0 : 0.5;
        }
        return covered;
    }

    @Test
    void aStrokeLiesHalfInsideAndARoundCornerIsCutOff() {
        Raster stroked = shape(Shape.Form.RECTANGLE, 3, 4);
        assertThat(stroked.pixel(13, 20)).isEqualTo(GREEN);
        assertThat(stroked.pixel(16, 20)).isEqualTo(GREEN);
        assertThat(stroked.pixel(17, 20)).isEqualTo(RED);
        assertThat(stroked.pixel(12, 20)).isEqualTo(SKY);
        Shape round = new Shape(Shape.Form.RECTANGLE, 30, 20, 3, 10, Fill.of("b23e28"), 0, "000000");
        assertThat(drawn(with(round, Pose.at(30, 20))).pixel(15, 10)).isEqualTo(SKY);
    }

    @Test
    void anOutlineGoesAroundTheLetters() {
        Words words = new Words(
                "I",
                Typeface.PLAIN,
                OwnTypeface.NONE,
                Typeface.Weight.BOLD,
                30,
                "b23e28",
                Align.CENTER,
                3,
                "2f6b3a",
                0,
                List.of());
        Raster drawn = drawn(with(words, Pose.at(30, 20)));
        assertThat(count(drawn, RED)).isGreaterThan(30);
        assertThat(count(drawn, GREEN)).isGreaterThan(count(drawn, RED) / 2);
    }

    @Test
    void aMirroredPictureIsMirrored() {
        Raster half = Raster.of(new Size(2, 1), new int[] {RED, GREEN});
        Reel reel = with(
                Cycle.dealt(List.of(new PictureRef("d".repeat(64), half.size())), 1),
                Pose.at(30, 20.5).withScale(-1, 1));
        Raster drawn = Renderer.draw(
                reel, reel.frames().get(0), (name, level) -> name.startsWith("d") ? half : picture(name), CANVAS);
        assertThat(drawn.pixel(29, 20)).isEqualTo(GREEN);
        assertThat(drawn.pixel(30, 20)).isEqualTo(RED);
    }

    @Test
    void theDemoIsDrawnAsItWasMade() throws Exception {
        DemoFolder folder = SkerryPoint.crossing();
        Map<String, Raster> pictures = new HashMap<>();
        List<NewStill> stills = new ArrayList<>();
        for (DemoFile file :
                Stream.concat(folder.files().stream(), folder.pieces().stream()).toList()) {
            Raster raster = StillReader.read(file.bytes(), DecodeLimits.USUAL).raster();
            pictures.put(ContentName.of(file.bytes()), raster);
            if (folder.files().contains(file)) {
                stills.add(new NewStill(ContentName.of(file.bytes()), file.name(), raster.size(), 90));
            }
        }
        Reel reel = Edit.apply(new AddStills(stills, 0), Reel.empty("Crossing"));
        for (Edit edit : folder.edits()) {
            reel = Edit.apply(edit, reel);
        }
        assertThat(reel.frames()).hasSize(24);
        assertThat(reel.pictures()).hasSize(6);
        Set<Raster> seen = new HashSet<>();
        for (Frame frame : reel.frames()) {
            Raster drawn = Renderer.draw(reel, frame, (name, level) -> level.of(pictures.get(name)), reel.canvas());
            assertThat(drawn.pixel(240, 2)).as("the border").isEqualTo(0xFF1E2A32);
            assertThat(drawn.pixel(0, 0) >>> 24).as("its corner").isZero();
            seen.add(drawn);
        }
        assertThat(seen).hasSize(24);
    }
}
