package dobbin.server.pictures;

import dobbin.reel.ContentName;
import dobbin.server.data.Spool;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Optional;

/** A file that has come in, not yet in memory. */
interface Incoming extends AutoCloseable {
    int HEAD_BYTES = 64 * 1024;

    /** @return the SHA-256 of its bytes, in hexadecimal digits */
    String name();

    long size();

    byte[] bytes();

    /** @return the first of its bytes, enough to tell what it is */
    byte[] head();

    @Override
    void close();

    static Incoming of(byte[] file) {
        return new Incoming() {
            @Override
            public String name() {
                return ContentName.of(file);
            }

            @Override
            public long size() {
                return file.length;
            }

            @Override
            public byte[] bytes() {
                return file;
            }

            @Override
            public byte[] head() {
                return Arrays.copyOf(file, Math.min(file.length, HEAD_BYTES));
            }

            @Override
            public void close() {}
        };
    }

    /**
     * Puts what comes on the disk, and not into memory.
     *
     * @param most bytes it may have
     * @return nothing where it has more
     */
    static Optional<Incoming> spooled(InputStream body, Spool spool, long most) throws IOException {
        MessageDigest digest = ContentName.digest();
        Optional<Path> file = spool.take(new DigestInputStream(body, digest), most);
        if (file.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new OnDisk(file.get(), Files.size(file.get()), ContentName.of(digest)));
    }

    record OnDisk(Path file, long size, String name) implements Incoming {
        @Override
        public byte[] bytes() {
            try {
                return Spool.bytes(file);
            } catch (IOException e) {
                throw new UncheckedIOException("What came in cannot be read again", e);
            }
        }

        @Override
        public byte[] head() {
            try (InputStream in = Files.newInputStream(file)) {
                return in.readNBytes(HEAD_BYTES);
            } catch (IOException e) {
                throw new UncheckedIOException("What came in cannot be read again", e);
            }
        }

        @Override
        public void close() {
            Spool.remove(file);
        }
    }
}
