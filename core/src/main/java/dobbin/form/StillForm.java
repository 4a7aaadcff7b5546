package dobbin.form;

import dobbin.still.PngWriter;
import java.io.IOException;

/** The frame that stands for the loop, as one PNG. */
final class StillForm {
    static final String SUFFIX = ".still.png";

    private StillForm() {}

    static void write(Material material, Form.Files files) throws IOException {
        files.next(SUFFIX).write(bytes(material));
    }

    static byte[] bytes(Material material) {
        DrawnLoop loop = material.loop();
        return PngWriter.small(loop.picture(loop.standing()));
    }
}
