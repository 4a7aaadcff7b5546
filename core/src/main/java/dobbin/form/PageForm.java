package dobbin.form;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** A page that shows the loop, with its GIF and its still beside it. */
final class PageForm implements Form {
    private static final String SUFFIX = ".html";

    @Override
    public String id() {
        return "page";
    }

    @Override
    public List<String> suffixes() {
        return List.of(SUFFIX, GifForm.SUFFIX, StillForm.SUFFIX);
    }

    @Override
    public void write(Material material, Files files) throws IOException {
        DrawnLoop loop = material.loop();
        String address = Html.address(material.name());
        String page = Html.page(
                material.name(),
                address + GifForm.SUFFIX,
                address + StillForm.SUFFIX,
                loop.size(),
                loop.sharing().alt());
        files.next(SUFFIX).write(page.getBytes(StandardCharsets.UTF_8));
        files.next(GifForm.SUFFIX).write(material.gif().get());
        files.next(StillForm.SUFFIX).write(StillForm.bytes(material));
    }
}
