package dobbin.document;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.reel.Reel;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** docs/file-format.md lists all fields there are, as they are. */
class FileFormatTest {
    private final Map<Class<?>, String> lines = new LinkedHashMap<>();

    @Test
    void theFieldsOfADocumentAreThoseOfTheDescription() throws IOException {
        describe(Reel.class);
        String description = Files.readString(Path.of("../docs/file-format.md"));
        String listed = description.replaceAll("(?s).*### The fields of format " + Upgrades.CURRENT + "\n.*?```\n", "");
        assertThat(listed.substring(0, listed.indexOf("```")))
                .isEqualTo(lines.values().stream().map(line -> line + "\n").collect(Collectors.joining()));
    }

    private void describe(Type type) {
        if (type instanceof ParameterizedType generic) {
            Arrays.stream(generic.getActualTypeArguments()).forEach(this::describe);
        } else if (type instanceof Class<?> known && !lines.containsKey(known)) {
            if (known.isSealed() && known.isInterface()) {
                lines.put(known, nameOf(known) + " is one of " + names(known.getPermittedSubclasses()));
                Arrays.stream(known.getPermittedSubclasses()).forEach(this::describe);
            } else if (known.isRecord()) {
                lines.put(known, fields(known));
                Arrays.stream(known.getRecordComponents())
                        .map(RecordComponent::getGenericType)
                        .forEach(this::describe);
            }
        }
    }

    private static String fields(Class<?> shape) {
        boolean kind = Shapes.SEALED.stream().anyMatch(union -> union.kinds().contains(shape));
        return nameOf(shape) + ": " + (kind ? "kind \"" + Shapes.Sealed.nameOf(shape) + "\", " : "")
                + Arrays.stream(shape.getRecordComponents())
                        .map(field -> field.getName() + " " + typeName(field.getGenericType()) + range(field))
                        .collect(Collectors.joining(", "));
    }

    private static String typeName(Type type) {
        if (type instanceof ParameterizedType generic) {
            Type[] of = generic.getActualTypeArguments();
            return generic.getRawType() == SortedMap.class
                    ? "{" + typeName(of[0]) + ": " + typeName(of[1]) + "}"
                    : "[" + typeName(of[0]) + "]";
        }
        Class<?> known = (Class<?>) type;
        if (known.isEnum()) {
            return Arrays.stream(known.getEnumConstants()).map(String::valueOf).collect(Collectors.joining("|"));
        }
        if (known == int.class || known == long.class || known == Integer.class) {
            return "integer";
        }
        return known == double.class ? "number" : nameOf(known).equals("String") ? "text" : nameOf(known);
    }

    private static String range(RecordComponent field) {
        Method accessor = field.getAccessor();
        Min min = accessor.getAnnotation(Min.class);
        Max max = accessor.getAnnotation(Max.class);
        DecimalMin least = accessor.getAnnotation(DecimalMin.class);
        DecimalMax most = accessor.getAnnotation(DecimalMax.class);
        Size size = accessor.getAnnotation(Size.class);
        return (min == null || max == null ? "" : " " + min.value() + ".." + max.value())
                + (least == null || most == null ? "" : " " + least.value() + ".." + most.value())
                + (size == null ? "" : " (" + size.min() + ".." + size.max() + ")");
    }

    private static String names(Class<?>... types) {
        return List.of(types).stream().map(FileFormatTest::nameOf).collect(Collectors.joining(", "));
    }

    private static String nameOf(Class<?> type) {
        return type.getSimpleName().equals("boolean") ? "true|false" : type.getSimpleName();
    }
}
