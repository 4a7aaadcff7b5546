package dobbin.form;

import dobbin.apng.ApngWriter;
import java.io.IOException;

/** An animated PNG in full color with partial transparency. */
final class ApngForm {
    static final String SUFFIX = ".png";

    private ApngForm() {}

    static void write(Material material, Form.Files files) throws IOException {
        DrawnLoop loop = material.loop();
        ApngWriter writer = new ApngWriter(loop.size(), loop.count(), loop.plays(), files.next(SUFFIX));
        for (int place = 0; place < loop.count(); place++) {
            writer.add(loop.picture(place), loop.delayMillis(place));
        }
        writer.finish();
    }
}
