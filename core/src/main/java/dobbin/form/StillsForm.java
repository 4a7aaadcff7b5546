package dobbin.form;

import dobbin.still.PlainZip;
import dobbin.still.PngWriter;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/** A zip of PNG stills, numbered as they play, and a file that says how long each shows. */
final class StillsForm {
    static final String SUFFIX = ".zip";

    /** @param plays how often the loop plays in all, 0 for forever */
    record Described(int width, int height, int plays, List<DescribedFrame> frames) {}

    record DescribedFrame(int delayMillis) {}

    private StillsForm() {}

    static void write(Material material, Form.Files files) throws IOException {
        DrawnLoop loop = material.loop();
        PlainZip zip = new PlainZip(files.next(SUFFIX));
        for (int place = 0; place < loop.count(); place++) {
            zip.stored(String.format(Locale.ROOT, "frame-%04d.png", place + 1), PngWriter.small(loop.picture(place)));
        }
        zip.packed("frames.json", material.json().of(described(loop)));
        zip.finish();
    }

    private static Described described(DrawnLoop loop) {
        return new Described(
                loop.size().width(),
                loop.size().height(),
                loop.plays(),
                IntStream.range(0, loop.count())
                        .mapToObj(place -> new DescribedFrame(loop.delayMillis(place)))
                        .toList());
    }
}
