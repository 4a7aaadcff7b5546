package dobbin.form;

import java.util.function.Supplier;

/**
 * What a form is made of.
 *
 * @param name of the files, without their endings
 * @param gif the loop as a GIF with the settings of its delivery, made when it is asked for
 * @param sheet how a sheet is divided
 */
public record Material(String name, DrawnLoop loop, Supplier<byte[]> gif, SheetPlan sheet) {}
