package dobbin.form;

import java.io.IOException;

/** The loop as a GIF. */
final class GifForm {
    static final String SUFFIX = ".gif";

    private GifForm() {}

    static void write(Material material, Form.Files files) throws IOException {
        files.next(SUFFIX).write(material.gif().get());
    }
}
