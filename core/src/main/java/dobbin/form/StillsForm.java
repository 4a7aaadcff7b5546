package dobbin.form;

import dobbin.still.PlainZip;
import dobbin.still.PngWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** A zip of PNG stills, numbered as they play, and a file that says how long each shows. */
final class StillsForm {
    static final String SUFFIX = ".zip";

    private StillsForm() {}

    static void write(Material material, Form.Files files) throws IOException {
        DrawnLoop loop = material.loop();
        PlainZip zip = new PlainZip(files.next(SUFFIX));
        for (int place = 0; place < loop.count(); place++) {
            zip.stored("frame-%04d.png".formatted(place + 1), PngWriter.small(loop.picture(place)));
        }
        zip.packed("frames.json", times(loop).getBytes(StandardCharsets.US_ASCII));
        zip.finish();
    }

    private static String times(DrawnLoop loop) {
        return IntStream.range(0, loop.count())
                .mapToObj(place -> "{\"delayMillis\":" + loop.delayMillis(place) + "}")
                .collect(Collectors.joining(
                        ",",
                        "{\"width\":%d,\"height\":%d,\"plays\":%d,\"frames\":["
                                .formatted(loop.size().width(), loop.size().height(), loop.plays()),
                        "]}\n"));
    }
}
