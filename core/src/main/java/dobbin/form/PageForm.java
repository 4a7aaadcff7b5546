package dobbin.form;

import java.io.IOException;
import java.nio.charset.StandardCharsets;

/** A page that shows the loop, with its GIF and its still beside it. */
final class PageForm {
    static final String SUFFIX = ".html";

    private PageForm() {}

    static void write(Material material, Form.Files files) throws IOException {
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
