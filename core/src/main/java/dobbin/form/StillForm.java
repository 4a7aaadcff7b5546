package dobbin.form;

import dobbin.still.PngWriter;
import java.io.IOException;
import java.util.List;

/** The frame that stands for the loop, as one PNG. */
final class StillForm implements Form {
    static final String SUFFIX = ".still.png";

    @Override
    public String id() {
        return "still";
    }

    @Override
    public List<String> suffixes() {
        return List.of(SUFFIX);
    }

    @Override
    public void write(Material material, Files files) throws IOException {
        files.next(SUFFIX).write(bytes(material));
    }

    static byte[] bytes(Material material) {
        DrawnLoop loop = material.loop();
        return PngWriter.small(loop.picture(loop.standing()));
    }
}
