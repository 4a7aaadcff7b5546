package dobbin.gif;

import dobbin.palette.Palette;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Screen;
import dobbin.raster.Size;
import java.util.List;

/** Shows a loop that is encoded as viewers will. Goes forward fast; going back begins anew. For any number of threads. */
public final class Replay {
    private final Size size;
    private final Palette filePalette;
    private final List<EncodedFrame> stored;
    private final LzwDecoder lzw = new LzwDecoder();
    private Screen screen;
    /** The screen as a picture, once somebody asked for it. */
    private Raster shown;
    /** The stored frame that is shown. */
    private int at = -1;

    /** @param filePalette for the frames that bring none */
    public Replay(Size size, Palette filePalette, List<EncodedFrame> stored) {
        this.size = size;
        this.filePalette = filePalette;
        this.stored = stored;
    }

    /** @param frame of the loop that is stored, from 0; @return the whole screen while it shows: opaque pixels or 0 */
    public synchronized Raster at(int frame) {
        if (at < 0 || frame < stored.get(at).first()) {
            screen = new Screen(size);
            at = -1;
        }
        while (at < 0 || frame >= stored.get(at).first() + stored.get(at).frames()) {
            at++;
            shown = null;
            draw(stored.get(at).stored());
        }
        if (shown == null) {
            shown = screen.picture();
        }
        return shown;
    }

    private void draw(StoredFrame frame) {
        Bounds box = frame.box();
        byte[] indices = new byte[Math.toIntExact(box.size().area())];
        int known = lzw.decode(frame.data(), frame.minimumCodeSize(), indices);
        int[] colors = entries(frame.own() == null ? filePalette : frame.own());
        Patch patch = new Patch(box.left(), box.top(), box.width(), box.height(), indices, known, false, colors);
        patch.show(screen, new GraphicControl(frame.disposal(), 0, frame.transparentIndex()));
    }

    private static int[] entries(Palette palette) {
        int[] entries = new int[palette.entries()];
        for (int i = 0; i < entries.length; i++) {
            entries[i] = palette.rgb(i);
        }
        return entries;
    }
}
