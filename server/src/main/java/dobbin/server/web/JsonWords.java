package dobbin.server.web;

import dobbin.document.Shapes;
import java.util.Arrays;
import java.util.Collection;
import java.util.Objects;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.InputCoercionException;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Errors of JSON in plain words, without the parser's own terms. */
final class JsonWords {
    private JsonWords() {}

    /** @return the innermost field that is wrong */
    static String fieldOf(JacksonException e) {
        return e.getPath().stream()
                .map(JacksonException.Reference::getPropertyName)
                .filter(Objects::nonNull)
                .reduce((first, last) -> last)
                .orElse("body");
    }

    /** @return a clause to follow the field */
    static String clauseOf(JacksonException e) {
        if (e instanceof StreamConstraintsException) {
            return "is nested too deeply, or holds a text or a number that is too long";
        }
        if (e instanceof InputCoercionException coercion) {
            return mustBe(coercion.getTargetType());
        }
        if (e instanceof StreamReadException) {
            return "is not well-formed JSON";
        }
        if (e instanceof UnrecognizedPropertyException) {
            return "is not known here";
        }
        if (e instanceof InvalidTypeIdException kind) {
            return Shapes.SEALED.stream()
                    .filter(union -> kind.getBaseType() != null
                            && union.base() == kind.getBaseType().getRawClass())
                    .map(union ->
                            "must say in “" + union.property() + "” what it is, as the interface description lists it")
                    .findFirst()
                    .orElse("must say what it is");
        }
        if (e instanceof InvalidNullException) {
            return "must be given";
        }
        return e instanceof MismatchedInputException mismatch ? mustBe(mismatch.getTargetType()) : "cannot be that";
    }

    /** @return a clause on what a value of that type must be */
    static String mustBe(Class<?> type) {
        if (type == int.class || type == Integer.class || type == long.class || type == Long.class) {
            return "must be a whole number";
        }
        if (type == double.class || type == Double.class || type == float.class) {
            return "must be a number";
        }
        if (type == boolean.class || type == Boolean.class) {
            return "must be true or false";
        }
        if (type == String.class) {
            return "must be a text";
        }
        if (type != null && type.isEnum()) {
            return "must be one of "
                    + Arrays.stream(type.getEnumConstants())
                            .map(String::valueOf)
                            .collect(Collectors.joining(", "));
        }
        boolean isList = type != null && (Collection.class.isAssignableFrom(type) || type.isArray());
        return isList ? "must be a list" : "must be an object with all its fields";
    }
}
