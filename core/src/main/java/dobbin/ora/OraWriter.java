package dobbin.ora;

import dobbin.raster.Compositor;
import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import dobbin.still.PlainZip;
import dobbin.still.PngWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** Writes pictures as the layers of an OpenRaster file, one after the other; the same pictures give the same bytes. */
public final class OraWriter {
    private static final int THUMBNAIL_SIDE = 256;
    private final PlainZip zip;
    private final Size size;
    private final StringBuilder layers = new StringBuilder();
    /** All layers so far over one another: the form asks for this picture beside them. */
    private final int[] merged;

    private int count;

    private OraWriter(Size size, PlainZip zip) {
        this.size = size;
        this.zip = zip;
        this.merged = new int[Math.toIntExact(size.area())];
    }

    /** Pictures of one size, the lowest first. */
    public interface Pictures {
        /** @return the next one, or null at the end */
        Raster next() throws IOException;
    }

    /** @param out receives the file and stays open */
    public static void write(Size size, Pictures pictures, OutputStream out) throws IOException {
        PlainZip zip = new PlainZip(out);
        OraWriter writer = new OraWriter(size, zip);
        zip.stored("mimetype", OraZip.MIME_TYPE.getBytes(StandardCharsets.US_ASCII));
        for (Raster picture = pictures.next(); picture != null; picture = pictures.next()) {
            writer.layer(picture);
        }
        writer.finish();
    }

    private void layer(Raster picture) throws IOException {
        count++;
        Compositor.over(picture, 0, 0, merged, size);
        String name = String.format(Locale.ROOT, "data/frame-%04d.png", count);
        zip.stored(name, PngWriter.bytes(picture));
        // The uppermost comes first.
        layers.insert(
                0,
                String.format(
                        Locale.ROOT,
                        "    <layer name=\"Frame %d\" src=\"%s\" x=\"0\" y=\"0\" opacity=\"1.0\" visibility=\"visible\"/>\n",
                        count,
                        name));
    }

    private void finish() throws IOException {
        String stack = String.format(Locale.ROOT, """
                <?xml version="1.0" encoding="UTF-8"?>
                <image version="0.0.5" w="%d" h="%d">
                  <stack>
                %s  </stack>
                </image>
                """, size.width(), size.height(), layers);
        zip.packed(OraZip.STACK, stack.getBytes(StandardCharsets.UTF_8));
        Raster whole = Raster.of(size, merged);
        zip.stored("mergedimage.png", PngWriter.bytes(whole));
        Raster small = Resampler.resize(whole, size.reducedTo(THUMBNAIL_SIDE));
        zip.stored("Thumbnails/thumbnail.png", PngWriter.bytes(small));
        zip.finish();
    }
}
