package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import dobbin.dither.Dither;
import dobbin.draw.Figure;
import dobbin.draw.Mirroring;
import dobbin.draw.Pen;
import dobbin.draw.Pour;
import dobbin.draw.Recolor;
import dobbin.draw.Shift;
import dobbin.draw.Stroke;
import dobbin.draw.Wipe;
import dobbin.form.SheetPlan;
import dobbin.palette.ColorChoice;
import dobbin.raster.Region;
import dobbin.reel.Aligned;
import dobbin.reel.Border;
import dobbin.reel.Coloring;
import dobbin.reel.Crop;
import dobbin.reel.CrossFade;
import dobbin.reel.Cutout;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Fill;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Framing;
import dobbin.reel.Group;
import dobbin.reel.Ink;
import dobbin.reel.Light;
import dobbin.reel.OutOfRange;
import dobbin.reel.Perspective;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Shadow;
import dobbin.reel.Shape;
import dobbin.reel.Sharing;
import dobbin.timing.Easing;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What records say of their components is what they take, and there is no other limit beside it. */
class LimitsTest {
    private static final Reel REEL = Edit.apply(new NameRun(List.of(1, 2), "Tide"), Moving.reel(3));
    private static final Cutout BADGE = Moving.badge(REEL);
    private static final FrameContent CONTENT = REEL.frames().get(0).content();
    private static final Pen PEN = new Pen("1e2a32", 50, 0, false, false);

    /** A valid one of each record that has limits; edits can be made on {@link #REEL}. */
    private static final Map<Class<?>, Record> SAMPLES = Stream.<Record>of(
                    new Pour(PEN, 1, 1, 5, 5, Pour.By.INK, false, 1),
                    PEN,
                    new Recolor("1e2a32", "ffffff", 5),
                    new Stroke(PEN, List.of(1.0, 1.0, 3.0), Mirroring.NONE),
                    new Shift(
                            List.of(1.0, 1.0, 2.0, 2.0),
                            Region.all(new dobbin.raster.Size(4, 3)),
                            Ink.NONE,
                            true,
                            false),
                    new Wipe(List.of(1.0, 1.0, 2.0, 2.0)),
                    new Figure(Figure.Kind.values()[0], PEN, 1, 1, 5, 5, 2, "", Mirroring.NONE),
                    new SetCanvas(100, 100),
                    new Tween(1, 2, 50, Easing.EVEN, false),
                    new CropCanvas(0, 0, 10, 10),
                    new SetPlays(2),
                    new NameRun(List.of(3), "Ebb"),
                    new Batch(List.of(new SetPlays(2)), "Both"),
                    new ThinFrames(List.of(1, 2, 3), 2),
                    new AddToDelays(List.of(1), 10),
                    new RenameRun(REEL.runs().get(0).id(), "Ebb"),
                    new RepeatFrames(List.of(1), 2),
                    new Rename("Ebb"),
                    new SetBudget(5_000),
                    new SetAlt("The tide"),
                    new RenameCutout(BADGE.id(), "Buoy"),
                    new AddCard(AnyEdit.card(new Random(1)), 100, 1),
                    new SetDelay(List.of(1), 100),
                    new ScaleDelays(List.of(1), 100),
                    new Motion.Blink(1, 1, 1),
                    new Motion.Bob(5, 1),
                    new Motion.Shake(5),
                    new Motion.Follow(List.of(new Motion.Point(1, 1), new Motion.Point(2, 2))),
                    new Motion.WalkColors(List.of("1e2a32", "ffffff")),
                    new SheetPlan(2, 2),
                    REEL,
                    Perspective.NONE,
                    new Group(10, 10, List.of(BADGE)),
                    Light.AS_IT_IS,
                    new Shape(Shape.Form.RECTANGLE, 10, 10, 5, 0, Fill.NONE, 2, "1e2a32"),
                    Sharing.USUAL,
                    Encoding.USUAL,
                    Pose.at(1, 1),
                    new Shadow(1, 1, 1, "1e2a32", 0.5),
                    new CrossFade(CONTENT, CONTENT, 0.5),
                    new Coloring(ColorChoice.OWN, List.of("1e2a32")),
                    new Crop(1, 1, 10, 10),
                    Moving.GULL,
                    AnyEdit.card(new Random(1)),
                    new Ink("0f".repeat(32), new dobbin.raster.Size(4, 3), 1, 1),
                    Moving.words("Tide"),
                    Aligned.NONE,
                    Border.NONE,
                    Delivery.USUAL.withDithering(Dither.NONE, 0),
                    Framing.USUAL,
                    Fill.NONE,
                    REEL.frames().get(0),
                    BADGE)
            .collect(Collectors.toMap(Object::getClass, Function.identity()));

    /** What these may be in full depends on the reel, or on another component. */
    private static final Set<String> OTHERS_DECIDE = Set.of(
            "CropCanvas.x",
            "CropCanvas.y",
            "CropCanvas.width",
            "CropCanvas.height",
            "AddToDelays.millis",
            "ScaleDelays.percent",
            "Cycle.every");

    /** A component of a record of core that says what it may be. */
    record Told(Class<? extends Record> type, RecordComponent component) {
        @Override
        public String toString() {
            return type.getSimpleName() + "." + component.getName();
        }

        boolean ofLength() {
            return component.getAccessor().isAnnotationPresent(Size.class);
        }

        double least() {
            Method accessor = component.getAccessor();
            DecimalMin decimal = accessor.getAnnotation(DecimalMin.class);
            return ofLength()
                    ? accessor.getAnnotation(Size.class).min()
                    : decimal == null ? accessor.getAnnotation(Min.class).value() : Double.parseDouble(decimal.value());
        }

        double most() {
            Method accessor = component.getAccessor();
            DecimalMax decimal = accessor.getAnnotation(DecimalMax.class);
            return ofLength()
                    ? accessor.getAnnotation(Size.class).max()
                    : decimal == null ? accessor.getAnnotation(Max.class).value() : Double.parseDouble(decimal.value());
        }

        /** The next value beyond an end. */
        double step() {
            return component.getType() == double.class ? 1e-6 : 1;
        }
    }

    static Stream<Told> told() {
        JavaClasses core = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("dobbin");
        return core.stream()
                .map(each -> each.reflect())
                .filter(Class::isRecord)
                .flatMap(type -> Arrays.stream(type.getRecordComponents())
                        .filter(component -> saysSomething(component.getAccessor()))
                        .map(component -> new Told(type.asSubclass(Record.class), component)));
    }

    private static boolean saysSomething(Method accessor) {
        return Stream.of(Min.class, Max.class, DecimalMin.class, DecimalMax.class, Size.class)
                .anyMatch(accessor::isAnnotationPresent);
    }

    @Test
    void thereAreMany() {
        assertThat(told())
                .hasSizeGreaterThan(100)
                .extracting(Told::toString)
                .contains("Words.size", "SetDelay.delayMillis");
    }

    @ParameterizedTest
    @MethodSource("told")
    void aRangeHasTwoEndsAndIsOfANumberOrOfSomethingWithALength(Told told) {
        Class<?> type = told.component().getType();
        if (told.ofLength()) {
            assertThat(told.least()).isBetween(0.0, told.most());
            assertThat(told.most()).as("the upper end").isLessThan(Integer.MAX_VALUE);
            assertThat(type == String.class || Collection.class.isAssignableFrom(type))
                    .isTrue();
        } else {
            assertThat(told.least()).isLessThan(told.most());
            assertThat(type).isIn(int.class, double.class);
        }
    }

    @ParameterizedTest
    @MethodSource("told")
    void itsEndsAreTakenAndWhatIsBeyondIsRefusedByName(Told told) {
        for (double end : new double[] {told.least(), told.most()}) {
            EditRejected refused = catchThrowableOfType(EditRejected.class, () -> made(told, end));
            // Another rule may speak against it: a crop has a width if it has a height.
            assertThat(refused == null || OTHERS_DECIDE.contains(told.toString()) || !saysRange(refused))
                    .as("%s of %s: %s", told, end, refused)
                    .isTrue();
        }
        for (double beyond : new double[] {told.least() - told.step(), told.most() + told.step()}) {
            if (beyond >= 0 || !told.ofLength()) {
                assertThatThrownBy(() -> made(told, beyond))
                        .as("%s", beyond)
                        .isInstanceOfSatisfying(
                                EditRejected.class,
                                refused -> assertThat(refused.field())
                                        .isEqualTo(told.component().getName()))
                        .satisfies(refused -> assertThat(saysRange(refused)).isTrue());
            }
        }
        if (told.component().getType() == double.class) {
            assertThatThrownBy(() -> made(told, Double.NaN)).isInstanceOf(EditRejected.class);
        }
    }

    private static boolean saysRange(Throwable refused) {
        return refused.getMessage().matches("must (be from|have) (at most )?-?[0-9].*");
    }

    /** Makes the sample of a record with another value, and where it is an edit, the edit. */
    private static void made(Told told, double value) throws Exception {
        RecordComponent[] components = told.type().getRecordComponents();
        Record sample = SAMPLES.get(told.type());
        assertThat(sample).as("a sample of %s", told.type()).isNotNull();
        Object[] values = new Object[components.length];
        for (int i = 0; i < values.length; i++) {
            Object usual = components[i].getAccessor().invoke(sample);
            boolean meant = components[i].getName().equals(told.component().getName());
            values[i] = meant ? valueOf(usual, value) : usual;
        }
        Constructor<? extends Record> constructor = told.type()
                .getDeclaredConstructor(
                        Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new));
        try {
            if (constructor.newInstance(values) instanceof Edit edit) {
                Edit.apply(edit, REEL);
            }
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof OutOfRange refused) {
                throw new EditRejected(refused.field(), refused.getMessage(), refused);
            }
            throw e;
        }
    }

    /** @param usual tells what it is: a number, or a text or list that gets that length */
    private static Object valueOf(Object usual, double value) {
        if (usual instanceof Integer) {
            return (int) value;
        }
        if (usual instanceof String) {
            return "a".repeat((int) value);
        }
        if (usual instanceof List<?> list) {
            Object each = list.isEmpty() ? "1e2a32" : list.get(0);
            return Collections.nCopies((int) value, each);
        }
        return value;
    }

    /** An edit whose range is checked by what it changes says the same range. */
    @Test
    void aDelayHasOneRangeEverywhere() throws Exception {
        Method ofEdit = SetDelay.class.getMethod("delayMillis");
        Method ofFrame = Frame.class.getMethod("delayMillis");
        assertThat(ofEdit.getAnnotation(Min.class)).isEqualTo(ofFrame.getAnnotation(Min.class));
        assertThat(ofEdit.getAnnotation(Max.class)).isEqualTo(ofFrame.getAnnotation(Max.class));
        assertThat(saysSomething(MoveFrames.class.getMethod("after"))).isFalse();
    }
}
