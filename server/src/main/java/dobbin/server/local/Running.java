package dobbin.server.local;

import dobbin.server.data.DataFolder;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.ConnectException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Properties;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * How commands on this machine reach the instance that has a data folder open: a file in that folder, which only its owner reads.
 *
 * @param token whoever knows it can read the data folder, and so may have a copy of it and say who may sign in
 */
public record Running(String address, int port, String token) {
    private static final String FILE = "running.properties";
    private static final int DONE = 200;

    void write(Path folder) throws IOException {
        Properties properties = new Properties();
        properties.setProperty("address", address);
        properties.setProperty("port", String.valueOf(port));
        properties.setProperty("token", token);
        Path file = folder.resolve(FILE);
        Files.deleteIfExists(file);
        Files.createFile(file);
        DataFolder.onlyForTheOwner(file);
        try (OutputStream out = Files.newOutputStream(file)) {
            properties.store(out, null);
        }
    }

    public static Optional<Running> read(Path folder) throws IOException {
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

    /** @return the address of its page on this machine */
    public String page() {
        return "http://" + (host().contains(":") ? "[" + host() + "]" : host()) + ":" + port + "/";
    }

    private String host() {
        return address.equals("0.0.0.0") || address.equals("::") ? "127.0.0.1" : address;
    }

    /** @return whether it still listens; one that was killed could not take its file away */
    public boolean listens() {
        try (Socket socket = new Socket(host(), port)) {
            return socket.isConnected();
        } catch (IOException e) {
            return false;
        }
    }

    /**
     * @param body JSON, or empty
     * @return the answer, to be closed; nothing where nobody answers: that instance was killed
     * @throws IOException whose message is a sentence on why it was refused
     */
    public Optional<InputStream> ask(String path, String body) throws IOException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(page()).resolve(path))
                .header(LocalToken.HEADER, token)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
        try {
            HttpResponse<InputStream> answer =
                    HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofInputStream());
            if (answer.statusCode() == DONE) {
                return Optional.of(answer.body());
            }
            try (InputStream in = answer.body()) {
                throw new IOException(
                        JsonMapper.shared().readTree(in).path("detail").asString("The running Dobbin refused it."));
            }
        } catch (ConnectException e) {
            return Optional.empty();
        } catch (JacksonException e) {
            throw new IOException("What answers at the address of the running Dobbin is none.", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("Stopped.", e);
        }
    }
}
