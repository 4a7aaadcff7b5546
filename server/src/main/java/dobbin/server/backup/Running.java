package dobbin.server.backup;

import dobbin.server.people.People;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Properties;

/**
 * How commands on this machine reach the Dobbin that has a data folder open: a file in that folder, which only its owner reads.
 *
 * @param token whoever knows it can read the data folder, and so may have a copy of it
 */
record Running(String address, int port, String token) {
    private static final String FILE = "running.properties";

    void write(Path folder) throws IOException {
        Properties properties = new Properties();
        properties.setProperty("address", address);
        properties.setProperty("port", String.valueOf(port));
        properties.setProperty("token", token);
        Path file = folder.resolve(FILE);
        Files.deleteIfExists(file);
        Files.createFile(file);
        People.onlyForTheOwner(file);
        try (OutputStream out = Files.newOutputStream(file)) {
            properties.store(out, null);
        }
    }

    static Optional<Running> read(Path folder) throws IOException {
        Path file = folder.resolve(FILE);
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        Properties properties = new Properties();
        try (InputStream in = Files.newInputStream(file)) {
            properties.load(in);
        }
        return Optional.of(new Running(
                properties.getProperty("address"),
                Integer.parseInt(properties.getProperty("port")),
                properties.getProperty("token")));
    }

    static void remove(Path folder) throws IOException {
        Files.deleteIfExists(folder.resolve(FILE));
    }
}
