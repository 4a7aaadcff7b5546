package dobbin.form;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** All forms there are. */
public final class Forms {
    public static final List<Form> ALL = List.of(
            new GifForm(),
            new ApngForm(),
            new StillsForm(),
            new SheetForm(),
            new StillForm(),
            new LayersForm(),
            new PageForm(),
            new ExampleForm());

    private Forms() {}

    public static Optional<Form> byId(String id) {
        return ALL.stream().filter(form -> form.id().equals(id)).findFirst();
    }

    /** @return the form that a file of that name has, by the longest ending that fits */
    public static Optional<Form> byName(String file) {
        String name = file.toLowerCase(Locale.ROOT);
        return ALL.stream()
                .filter(form -> name.endsWith(form.suffixes().get(0)))
                .max(Comparator.comparingInt(form -> form.suffixes().get(0).length()));
    }
}
