package dobbin.cli;

import dobbin.edit.EditRejected;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Locale;
import java.util.UUID;

/**
 * The file a command writes: whole or not at all. It is written beside where it goes and moved there when it is whole, so
 * that an older one stays until then, whatever happens.
 */
final class OutFile {
    private static final int MOST_LINKS = 40;

    private final Path target;

    private OutFile(Path target) {
        this.target = target;
    }

    /** @throws EditRejected where the name means another kind of file, or what lies there is no ordinary file */
    static OutFile of(Path out) throws IOException {
        if (!endsWith(out, ".gif") && !isLayered(out)) {
            throw new EditRejected(
                    out.toString(),
                    "must end in .gif for a GIF, or in .ora for an OpenRaster file with a layer a frame");
        }
        Path target = through(out);
        if (Files.exists(target) && !Files.isRegularFile(target)) {
            throw new EditRejected(out.toString(), "is there and is no ordinary file");
        }
        return new OutFile(target);
    }

    static boolean isLayered(Path out) {
        return endsWith(out, ".ora");
    }

    private static boolean endsWith(Path out, String ending) {
        return out.toString().toLowerCase(Locale.ROOT).endsWith(ending);
    }

    /** @return whether {@code file} is the one that is written */
    boolean is(Path file) throws IOException {
        return Files.exists(target) && Files.isSameFile(target, file);
    }

    void write(byte[] bytes) throws IOException {
        Path part = target.resolveSibling("." + target.getFileName() + "." + UUID.randomUUID() + ".part");
        try {
            Files.write(part, bytes, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** A link is written through and stays one, also where it leads to nothing yet. */
    private static Path through(Path out) throws IOException {
        Path at = out.toAbsolutePath();
        for (int links = 0; Files.isSymbolicLink(at); links++) {
            if (links == MOST_LINKS) {
                throw new EditRejected(out.toString(), "is a link that leads in a circle");
            }
            at = at.resolveSibling(Files.readSymbolicLink(at)).normalize();
        }
        if (Files.exists(at, LinkOption.NOFOLLOW_LINKS) && !Files.isWritable(at)) {
            throw new EditRejected(out.toString(), "is read-only");
        }
        return at;
    }
}
