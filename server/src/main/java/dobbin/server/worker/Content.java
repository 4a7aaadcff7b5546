package dobbin.server.worker;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** What a file holds, in memory or on the disk. */
interface Content {
    /** @return of bytes; fits into an int */
    long size() throws IOException;

    /** @return all of it, from its beginning, each time */
    InputStream open() throws IOException;

    static Content of(byte[] file) {
        return new Content() {
            @Override
            public long size() {
                return file.length;
            }

            @Override
            public InputStream open() {
                return new ByteArrayInputStream(file);
            }
        };
    }

    static Content of(Path file) {
        return new Content() {
            @Override
            public long size() throws IOException {
                return Files.size(file);
            }

            @Override
            public InputStream open() throws IOException {
                return Files.newInputStream(file);
            }
        };
    }
}
