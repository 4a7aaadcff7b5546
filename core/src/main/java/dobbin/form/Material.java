package dobbin.form;

import java.util.function.Supplier;

/**
 * What a form is made of.
 *
 * @param name of the files, without their endings
 * @param gif the loop as a GIF with the settings of its delivery, made when it is asked for
 * @param sheet how a sheet is divided
 * @param json writes what describes a form to other programs
 */
public record Material(String name, DrawnLoop loop, Supplier<byte[]> gif, SheetPlan sheet, Json json) {
    /** Core knows no JSON: who calls it brings a library. */
    @FunctionalInterface
    public interface Json {
        /** @param value a record of numbers, texts and lists; @return it as JSON in UTF-8, its fields in their order */
        byte[] of(Object value);
    }
}
