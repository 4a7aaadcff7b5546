package dobbin.gather;

import dobbin.apng.ApngFrame;
import dobbin.apng.ApngReader;
import dobbin.gif.GifFormatException;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.ora.OraReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.UnreadablePicture;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A file of several pictures of one size: the frames of an animation, each with its time, or the layers of a drawing. It is
 * read picture by picture.
 */
public interface Series {
    Size size();

    /**
     * @return how often viewers play it in all, 0 for without end; nothing where it does not play. Known for sure once the last
     *     picture was read
     */
    OptionalInt plays();

    /** @return flaws that were survived, or why not all could be read */
    List<String> warnings();

    /** @return what was left out or read otherwise; known for sure once the last picture was read */
    default List<String> notes() {
        return List.of();
    }

    /** @return the next picture, or nothing at the end */
    Optional<Shown> next() throws UnreadablePicture;

    /**
     * One picture as a viewer shows it.
     *
     * @param picture whole, composited
     * @param delayMillis as the file has it; 0 for as short as can be, or where it does not say
     */
    record Shown(Raster picture, int delayMillis) {}

    /** @param head the file, or its first 64 KB */
    static boolean isOne(byte[] head) {
        return FileKind.of(head) == FileKind.GIF || ApngReader.isOne(head) || OraReader.isOne(head);
    }

    /** @throws UnreadablePicture where the file is none, or nothing of it can be read */
    static Series open(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        if (ApngReader.isOne(file)) {
            return ofPng(ApngReader.open(file, limits));
        }
        if (OraReader.isOne(file)) {
            return ofLayers(OraReader.open(file, limits));
        }
        try {
            return ofGif(GifReader.open(file, limits));
        } catch (GifFormatException e) {
            throw unreadable(e);
        }
    }

    private static Series ofPng(ApngReader reader) {
        return new Series() {
            @Override
            public Size size() {
                return reader.size();
            }

            @Override
            public OptionalInt plays() {
                return OptionalInt.of(reader.plays());
            }

            @Override
            public List<String> warnings() {
                return reader.warnings();
            }

            @Override
            public Optional<Shown> next() throws UnreadablePicture {
                Optional<ApngFrame> frame = reader.next();
                return frame.map(each -> new Shown(each.picture(), each.delayMillis()));
            }
        };
    }

    private static Series ofLayers(OraReader reader) {
        return new Series() {
            @Override
            public Size size() {
                return reader.size();
            }

            @Override
            public OptionalInt plays() {
                return OptionalInt.empty();
            }

            @Override
            public List<String> warnings() {
                return List.of();
            }

            @Override
            public List<String> notes() {
                return reader.notes();
            }

            @Override
            public Optional<Shown> next() throws UnreadablePicture {
                Optional<Raster> layer = reader.next();
                return layer.map(each -> new Shown(each, 0));
            }
        };
    }

    private static Series ofGif(GifReader reader) {
        return new Series() {
            @Override
            public Size size() {
                return reader.size();
            }

            @Override
            public OptionalInt plays() {
                return OptionalInt.of(reader.plays());
            }

            @Override
            public List<String> warnings() {
                return reader.warnings();
            }

            @Override
            public Optional<Shown> next() throws UnreadablePicture {
                try {
                    Optional<GifFrame> frame = reader.next();
                    return frame.map(each -> new Shown(each.picture(), each.delayMillis()));
                } catch (GifFormatException e) {
                    throw unreadable(e);
                }
            }
        };
    }

    private static UnreadablePicture unreadable(GifFormatException e) {
        return new UnreadablePicture("is a GIF that cannot be read: " + e.getMessage(), e);
    }
}
