package dobbin.reel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import dobbin.edit.MoveFrames;
import dobbin.edit.SetDelay;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What records say of their components is what is checked, and is whole. */
class LimitsTest {
    /** A component of a record of core that says what it may be. */
    record Told(Class<? extends Record> type, RecordComponent component) {
        @Override
        public String toString() {
            return type.getSimpleName() + "." + component.getName();
        }
    }

    static Stream<Told> told() {
        JavaClasses core = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("dobbin.reel", "dobbin.edit");
        return core.stream()
                .map(each -> each.reflect())
                .filter(Class::isRecord)
                .flatMap(type -> Arrays.stream(type.getRecordComponents())
                        .filter(component -> saysSomething(component.getAccessor()))
                        .map(component -> new Told(type.asSubclass(Record.class), component)));
    }

    private static boolean saysSomething(Method accessor) {
        return Stream.of(Min.class, Max.class, Size.class).anyMatch(accessor::isAnnotationPresent);
    }

    @Test
    void thereAreMany() {
        assertThat(told())
                .hasSizeGreaterThan(50)
                .extracting(Told::toString)
                .contains("Words.size", "SetDelay.delayMillis");
    }

    @ParameterizedTest
    @MethodSource("told")
    void aRangeHasTwoEndsAndIsOfANumberOrOfSomethingWithALength(Told told) {
        Method accessor = told.component().getAccessor();
        Class<?> type = told.component().getType();
        if (accessor.isAnnotationPresent(Size.class)) {
            Size size = accessor.getAnnotation(Size.class);
            assertThat(size.min()).isBetween(0, size.max());
            assertThat(size.max()).as("the upper end").isLessThan(Integer.MAX_VALUE);
            assertThat(type == String.class || Collection.class.isAssignableFrom(type))
                    .isTrue();
        } else {
            assertThat(accessor.getAnnotation(Min.class).value())
                    .isLessThan(accessor.getAnnotation(Max.class).value());
            assertThat(type).isIn(int.class, double.class);
        }
    }

    @ParameterizedTest
    @MethodSource("told")
    void itsEndsAreTakenAndWhatIsBeyondIsRefusedByName(Told told) {
        Method accessor = told.component().getAccessor();
        String name = told.component().getName();
        Min min = accessor.getAnnotation(Min.class);
        long least = min == null ? accessor.getAnnotation(Size.class).min() : min.value();
        long most = min == null
                ? accessor.getAnnotation(Size.class).max()
                : accessor.getAnnotation(Max.class).value();
        for (long fine : List.of(least, most)) {
            assertThat(Ranges.check(told.type(), name, fine)).isEqualTo((int) fine);
            assertThat(Ranges.checkAmount(told.type(), name, fine)).isEqualTo(fine);
        }
        for (long beyond : List.of(least - 1, most + 1)) {
            assertThatThrownBy(() -> Ranges.check(told.type(), name, beyond))
                    .isInstanceOfSatisfying(
                            OutOfRange.class,
                            refused -> assertThat(refused.field()).isEqualTo(name))
                    .hasMessageStartingWith("must be from ");
        }
        assertThatThrownBy(() -> Ranges.checkAmount(told.type(), name, Double.NaN))
                .isInstanceOf(OutOfRange.class);
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
