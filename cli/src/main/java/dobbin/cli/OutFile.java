package dobbin.cli;

import dobbin.edit.EditRejected;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
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

    /** @throws EditRejected where what lies there is no ordinary file */
    static OutFile of(Path out) throws IOException {
        Path target = through(out);
        if (Files.exists(target) && !Files.isRegularFile(target)) {
            throw new EditRejected(out.toString(), "is there and is no ordinary file");
        }
        return new OutFile(target);
    }

    /** @return whether {@code file} is the one that is written */
    boolean is(Path file) throws IOException {
        return Files.exists(target) && Files.isSameFile(target, file);
    }

    void write(byte[] bytes) throws IOException {
        try (Part part = begin()) {
            part.out().write(bytes);
            part.keep();
        }
    }

    /** @return the file as it is written, to be kept or thrown away */
    Part begin() throws IOException {
        return new Part(target);
    }

    /** A file beside where it goes. */
    static final class Part implements AutoCloseable {
        private final Path target;
        private final Path part;
        private final OutputStream out;

        private Part(Path target) throws IOException {
            this.target = target;
            this.part = target.resolveSibling("." + target.getFileName() + "." + UUID.randomUUID() + ".part");
            this.out = new BufferedOutputStream(
                    Files.newOutputStream(part, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE));
        }

        OutputStream out() {
            return out;
        }

        /** Moves it to its place, whole. @return how many bytes it has */
        long keep() throws IOException {
            out.close();
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
            return Files.size(target);
        }

        @Override
        public void close() throws IOException {
            out.close();
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
