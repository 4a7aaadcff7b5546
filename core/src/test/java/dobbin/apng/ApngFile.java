package dobbin.apng;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.PngChunks;
import dobbin.still.PngWriter;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.util.Arrays;

/** An animated PNG, put together part by part. */
public final class ApngFile {
    static final int KEEP = 0;
    static final int CLEAR = 1;
    static final int PUT_BACK = 2;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private int sequence;
    private boolean hasPicture;

    /** @param plays as the file has it: 0 for without end */
    public ApngFile(Size size, int frames, int plays) {
        byte[] png = PngWriter.bytes(Raster.filled(size, 0));
        out.write(png, 0, PngChunks.SIGNATURE_BYTES + 25);
        PngWriter.writeChunk(
                out, "acTL", ByteBuffer.allocate(8).putInt(frames).putInt(plays).array());
    }

    /** Shown only by what does not know that it moves. */
    ApngFile stillBeside(Raster picture) {
        data(picture);
        return this;
    }

    public ApngFile frame(Raster picture, int delay, int parts) {
        return frame(picture, 0, 0, delay, parts, KEEP, true);
    }

    /** @param picture not wholly opaque, so that all are of one kind */
    ApngFile frame(Raster picture, int x, int y, int delay, int parts, int disposal, boolean replaces) {
        ByteBuffer control = ByteBuffer.allocate(26)
                .putInt(sequence++)
                .putInt(picture.width())
                .putInt(picture.height())
                .putInt(x)
                .putInt(y)
                .putShort((short) delay)
                .putShort((short) parts)
                .put((byte) disposal)
                .put((byte) (replaces ? 0 : 1));
        PngWriter.writeChunk(out, "fcTL", control.array());
        data(picture);
        return this;
    }

    private void data(Raster picture) {
        byte[] data = imageData(picture);
        if (hasPicture) {
            ByteBuffer numbered =
                    ByteBuffer.allocate(4 + data.length).putInt(sequence++).put(data);
            PngWriter.writeChunk(out, "fdAT", numbered.array());
        } else {
            PngWriter.writeChunk(out, "IDAT", data);
            hasPicture = true;
        }
    }

    private static byte[] imageData(Raster picture) {
        byte[] png = PngWriter.bytes(picture);
        int start = PngChunks.SIGNATURE_BYTES + 25;
        int length = ByteBuffer.wrap(png).getInt(start);
        return Arrays.copyOfRange(png, start + 8, start + 8 + length);
    }

    public byte[] bytes() {
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        whole.writeBytes(out.toByteArray());
        PngWriter.writeChunk(whole, "IEND", new byte[0]);
        return whole.toByteArray();
    }
}
