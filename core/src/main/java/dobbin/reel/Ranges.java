package dobbin.reel;

import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import dobbin.timing.Delays;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Ranges of all numbers in a reel. A number out of range is refused with the field's name and the allowed range. */
public final class Ranges {
    public static final int MIN_DELAY_MILLIS = Delays.SHORTEST_MILLIS;
    public static final int MAX_DELAY_MILLIS = Delays.LONGEST_MILLIS;
    public static final int MAX_FRAMES = 2_000;
    public static final int MAX_PLAYS = 1_000;
    public static final int MAX_SIDE = DecodeLimits.MAX_SIDE;
    public static final int MAX_DISMISSED = 500;
    public static final int MAX_SWATCHES = 32;
    public static final int MAX_CUTOUTS = 200;
    /** Of all cut-outs of a reel, in groups or not: pictures, words and shapes. */
    public static final int MAX_CUTOUT_PARTS = 2_000;
    /** Of all words of a reel's cut-outs. */
    public static final int MAX_CUTOUT_LETTERS = 20_000;

    /** As many as 200 cut-outs can have on 2,000 frames. */
    public static final int MAX_CUTOUT_PLACES = 400_000;

    /** Frames times cut-outs. */
    public static final int MAX_CUTOUTS_DRAWN = 400_000;

    public static final int MAX_GROUPS_IN_ONE_ANOTHER = 8;
    public static final int MAX_NAME_LENGTH = 120;

    /** Of what a loop shows, in words. */
    public static final int MAX_ALT_LENGTH = 500;

    /** Ids of frames, runs and cut-outs stay below; a row of changes for centuries does not come there. */
    public static final int MAX_NEXT_ID = 1_000_000_000;

    public static final int MIN_BUDGET_BYTES = 1_000;
    public static final int MAX_BUDGET_BYTES = 1_000_000_000;

    private Ranges() {}

    /** Range of a number, or of the length of a list or text. */
    record Range(double min, double max) {}

    /** Ranges given by {@code @Min}, {@code @Max}, {@code @DecimalMin}, {@code @DecimalMax} and {@code @Size} on components of records, by component name. */
    private static final ClassValue<Map<String, Range>> TOLD = new ClassValue<>() {
        @Override
        protected Map<String, Range> computeValue(Class<?> type) {
            Map<String, Range> ranges = new HashMap<>();
            for (RecordComponent component : type.getRecordComponents()) {
                told(component.getAccessor()).ifPresent(range -> ranges.put(component.getName(), range));
            }
            return ranges;
        }
    };

    private static Optional<Range> told(Method accessor) {
        Min min = accessor.getAnnotation(Min.class);
        DecimalMin least = accessor.getAnnotation(DecimalMin.class);
        jakarta.validation.constraints.Size size = accessor.getAnnotation(jakarta.validation.constraints.Size.class);
        if (min != null) {
            return Optional.of(
                    new Range(min.value(), accessor.getAnnotation(Max.class).value()));
        }
        if (least != null) {
            String most = accessor.getAnnotation(DecimalMax.class).value();
            return Optional.of(new Range(Double.parseDouble(least.value()), Double.parseDouble(most)));
        }
        return size == null ? Optional.empty() : Optional.of(new Range(size.min(), size.max()));
    }

    /**
     * Checks a number, or the length of a list, by what the record says of its component.
     *
     * @throws OutOfRange unless it is within the range
     */
    public static int check(Class<? extends Record> type, String component, long value) {
        Range range = TOLD.get(type).get(component);
        return check(component, value, (int) range.min, (int) range.max);
    }

    /** Checks a number with fractions. @throws OutOfRange unless it is within the range of its component */
    public static double checkAmount(Class<? extends Record> type, String component, double value) {
        Range range = TOLD.get(type).get(component);
        return checkAmount(component, value, range.min, range.max);
    }

    /** @throws OutOfRange unless {@code min <= value <= max} */
    public static int check(String field, long value, int min, int max) {
        if (value < min || value > max) {
            throw new OutOfRange(
                    field, "must be from " + grouped(min) + " to " + grouped(max) + ", not " + grouped(value));
        }
        return (int) value;
    }

    /** @throws OutOfRange unless {@code min <= value <= max} */
    public static double checkAmount(String field, double value, double min, double max) {
        if (!(value >= min && value <= max)) {
            throw new OutOfRange(field, "must be from " + plain(min) + " to " + plain(max) + ", not " + plain(value));
        }
        return value;
    }

    /** @throws OutOfRange unless {@code picture} could be the name of one, of that size */
    static void checkPicture(String field, String picture, Size size) {
        if (picture == null || !picture.matches("[0-9a-f]{64}")) {
            throw new OutOfRange(field, "must be 64 hexadecimal digits");
        }
        check("width", size.width(), 1, MAX_SIDE);
        check("height", size.height(), 1, MAX_SIDE);
    }

    /**
     * @return the name without blanks at its ends
     * @throws OutOfRange where it is empty or too long, or has characters that show nothing and change what is around them
     */
    public static String checkName(String field, String name) {
        String stripped = name == null ? "" : name.strip();
        if (stripped.isEmpty() || stripped.length() > MAX_NAME_LENGTH) {
            throw new OutOfRange(field, "must have 1 to " + MAX_NAME_LENGTH + " characters");
        }
        if (stripped.chars().anyMatch(Ranges::isControl)) {
            throw new OutOfRange(field, "must have no control characters, such as line breaks");
        }
        checkText(field, stripped);
        return stripped;
    }

    /** @throws OutOfRange where the text has half a character: a surrogate without the other one of its pair */
    static void checkText(String field, String text) {
        // Those of pairs come as one.
        if (text.codePoints().anyMatch(each -> each >= Character.MIN_SURROGATE && each <= Character.MAX_SURROGATE)) {
            throw new OutOfRange(field, "must have whole characters (it has half of a surrogate pair)");
        }
    }

    /** @return the name with a blank for each control character */
    public static String withoutControls(String name) {
        StringBuilder clean = new StringBuilder(name.length());
        name.chars().map(each -> isControl(each) ? ' ' : each).forEach(each -> clean.append((char) each));
        return clean.toString();
    }

    /** Control characters, line and paragraph separators, and what turns the direction of text around (Unicode UAX #9). */
    private static boolean isControl(int character) {
        return Character.isISOControl(character)
                || character >= 0x2028 && character <= 0x202E
                || character >= 0x2066 && character <= 0x2069;
    }

    /** @throws OutOfRange unless {@code color} is six hexadecimal digits */
    public static void checkColor(String field, String color) {
        if (color == null || !color.matches("[0-9a-fA-F]{6}")) {
            throw new OutOfRange(field, "must be six hexadecimal digits");
        }
    }

    /** @throws OutOfRange unless {@code color} is empty or six hexadecimal digits */
    public static void checkColorOrNone(String field, String color) {
        if (color == null || !color.isEmpty()) {
            checkColor(field, color);
        }
    }

    private static String plain(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15 ? grouped((long) value) : String.valueOf(value);
    }

    private static String grouped(long value) {
        return String.format(Locale.ROOT, "%,d", value);
    }
}
