package dobbin.server.worker;

import dobbin.lettering.OwnTypeface;
import dobbin.lettering.TypefaceTrial;
import dobbin.lettering.UnusableTypeface;
import dobbin.raster.Raster;
import dobbin.still.Checkpoint;
import dobbin.still.SvgDrawing;
import dobbin.still.UnreadablePicture;
import java.nio.ByteBuffer;

/** What a worker process can be asked to do with a file. It runs there. */
enum Task {
    /** Draws an SVG file, with so many pixels on its longer side; answers with width, height and pixels. */
    DRAW_SVG {
        @Override
        byte[] run(byte[] file, int longerSide) throws Unanswered {
            try {
                Raster drawn = SvgDrawing.read(file, longerSide, Checkpoint.NONE);
                ByteBuffer answer = ByteBuffer.allocate(Integer.BYTES * (2 + drawn.argb().length));
                answer.putInt(drawn.width()).putInt(drawn.height());
                answer.asIntBuffer().put(drawn.argb());
                return answer.array();
            } catch (UnreadablePicture e) {
                throw new Unanswered(e.getMessage(), e);
            }
        }
    },
    /** Draws letters in a typeface file of at most {@link OwnTypeface#LARGEST_FILE} bytes; answers with nothing. */
    TRY_TYPEFACE {
        @Override
        byte[] run(byte[] file, int unused) throws Unanswered {
            try {
                TypefaceTrial.of(file);
                return new byte[0];
            } catch (UnusableTypeface e) {
                throw new Unanswered(e.getMessage(), e);
            }
        }
    };

    /** @throws Unanswered where the file is at fault */
    abstract byte[] run(byte[] file, int number) throws Unanswered;
}
