package dobbin.form;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** All forms there are. */
public final class Forms {
    public static final List<Form> ALL = List.of(
            new Form("gif", List.of(GifForm.SUFFIX), true, GifForm::write),
            new Form("apng", List.of(ApngForm.SUFFIX), false, ApngForm::write),
            new Form("stills", List.of(StillsForm.SUFFIX), false, StillsForm::write),
            new Form("sheet", List.of(SheetForm.PICTURE, SheetForm.CELLS), false, SheetForm::write),
            new Form("still", List.of(StillForm.SUFFIX), false, StillForm::write),
            new Form("layers", List.of(LayersForm.SUFFIX), false, LayersForm::write),
            new Form("page", List.of(PageForm.SUFFIX, GifForm.SUFFIX, StillForm.SUFFIX), true, PageForm::write),
            new Form("example", List.of(ExampleForm.SUFFIX), true, ExampleForm::write));

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
