package dobbin.form;

import dobbin.apng.ApngWriter;
import java.io.IOException;
import java.util.List;

/** An animated PNG in full color with partial transparency. */
final class ApngForm implements Form {
    private static final String SUFFIX = ".png";

    @Override
    public String id() {
        return "apng";
    }

    @Override
    public List<String> suffixes() {
        return List.of(SUFFIX);
    }

    @Override
    public void write(Material material, Files files) throws IOException {
        DrawnLoop loop = material.loop();
        ApngWriter writer = new ApngWriter(loop.size(), loop.count(), loop.plays(), files.next(SUFFIX));
        for (int place = 0; place < loop.count(); place++) {
            writer.add(loop.picture(place), loop.delayMillis(place));
        }
        writer.finish();
    }
}
