package dobbin.server.pictures;

import dobbin.reel.ContentName;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;

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
     * @return null where it has more
     */
    static Incoming spooled(InputStream body, Path folder, long most) throws IOException {
        Path file = Files.createTempFile(folder, "incoming", null);
        try (OutputStream out = Files.newOutputStream(file)) {
            DigestInputStream in = new DigestInputStream(body, MessageDigest.getInstance("SHA-256"));
            byte[] buffer = new byte[64 * 1024];
            long size = 0;
            for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                size += read;
                if (size > most) {
                    Files.delete(file);
                    return null;
                }
                out.write(buffer, 0, read);
            }
            return new OnDisk(
                    file, size, HexFormat.of().formatHex(in.getMessageDigest().digest()));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every JDK has SHA-256", e);
        } catch (IOException e) {
            Files.deleteIfExists(file);
            throw e;
        }
    }

    record OnDisk(Path file, long size, String name) implements Incoming {
        @Override
        public byte[] bytes() {
            try {
                return Files.readAllBytes(file);
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
            try {
                Files.deleteIfExists(file);
            } catch (IOException e) {
                // The folder is emptied at the next start.
                file.toFile().deleteOnExit();
            }
        }
    }
}
