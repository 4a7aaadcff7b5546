package dobbin.form;

import dobbin.ora.OraWriter;
import java.io.IOException;
import java.util.PrimitiveIterator;
import java.util.stream.IntStream;

/** An OpenRaster file with a layer for each frame, the first one lowest. */
final class LayersForm {
    static final String SUFFIX = ".ora";

    private LayersForm() {}

    static void write(Material material, Form.Files files) throws IOException {
        DrawnLoop loop = material.loop();
        PrimitiveIterator.OfInt places = IntStream.range(0, loop.count()).iterator();
        OraWriter.write(
                loop.size(), () -> places.hasNext() ? loop.picture(places.nextInt()) : null, files.next(SUFFIX));
    }
}
