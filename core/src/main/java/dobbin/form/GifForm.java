package dobbin.form;

import java.io.IOException;
import java.util.List;

/** The loop as a GIF. */
final class GifForm implements Form {
    static final String SUFFIX = ".gif";

    @Override
    public String id() {
        return "gif";
    }

    @Override
    public List<String> suffixes() {
        return List.of(SUFFIX);
    }

    @Override
    public void write(Material material, Files files) throws IOException {
        files.next(SUFFIX).write(material.gif().get());
    }
}
