package dobbin.form;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;

/** A page that shows the loop and holds all that it needs. */
final class ExampleForm {
    static final String SUFFIX = ".example.html";

    private ExampleForm() {}

    static void write(Material material, Form.Files files) throws IOException {
        DrawnLoop loop = material.loop();
        String page = Html.page(
                material.name(),
                within("image/gif", material.gif().get()),
                within("image/png", StillForm.bytes(material)),
                loop.size(),
                loop.sharing().alt());
        files.next(SUFFIX).write(page.getBytes(StandardCharsets.UTF_8));
    }

    private static String within(String mediaType, byte[] bytes) {
        return "data:" + mediaType + ";base64," + Base64.getEncoder().encodeToString(bytes);
    }
}
