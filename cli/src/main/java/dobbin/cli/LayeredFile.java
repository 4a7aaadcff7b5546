package dobbin.cli;

import dobbin.ora.OraWriter;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.render.Pictures;
import dobbin.slim.Framed;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;

/** The frames that are delivered, drawn, as the layers of an OpenRaster file. */
final class LayeredFile {
    /** The line that is printed. */
    record Made(int layers, int width, int height, int bytes) {}

    private LayeredFile() {}

    static Made write(Reel reel, Pictures pictures, OutFile file) throws IOException {
        Size size = reel.deliveredSize();
        Framed framed = Framed.of(reel);
        Tracks tracks = new Tracks(reel.frames());
        Iterator<Frame> frames = reel.deliveredFrames().iterator();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        OraWriter.write(size, () -> frames.hasNext() ? framed.draw(reel, tracks, frames.next(), pictures) : null, out);
        file.write(out.toByteArray());
        return new Made(reel.deliveredFrames().size(), size.width(), size.height(), out.size());
    }
}
