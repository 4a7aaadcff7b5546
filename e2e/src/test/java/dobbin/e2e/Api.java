package dobbin.e2e;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The application over HTTP, for scripts that need no browser. */
final class Api {
    private final HttpClient http = HttpClient.newHttpClient();
    private final String address;

    Api(String address) {
        this.address = address;
    }

    /** A sentence of the server's on why it did not do something. */
    static final class Refused extends RuntimeException {
        final int status;

        Refused(int status, String message) {
            super(message);
            this.status = status;
        }
    }

    JsonNode get(String path) throws IOException {
        return JsonMapper.shared().readTree(bytes(path));
    }

    byte[] bytes(String path) throws IOException {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
    }

    JsonNode post(String path, String json) throws IOException {
        return JsonMapper.shared()
                .readTree(send(HttpRequest.newBuilder(URI.create(address + path))
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(json))));
    }

    void delete(String path) throws IOException {
        send(HttpRequest.newBuilder(URI.create(address + path)).DELETE());
    }

    JsonNode send(String path, byte[] file) throws IOException {
        return JsonMapper.shared()
                .readTree(send(HttpRequest.newBuilder(URI.create(address + path))
                        .header("Content-Type", "application/octet-stream")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(file))));
    }

    /** @return the still that the file became */
    JsonNode upload(String name, byte[] file) throws IOException {
        JsonNode told = send("/api/pictures?name=" + URLEncoder.encode(name, StandardCharsets.UTF_8), file);
        if (!told.get("problem").isNull()) {
            throw new Refused(200, told.get("problem").asString());
        }
        return told.get("stills").get(0);
    }

    private byte[] send(HttpRequest.Builder request) throws IOException {
        try {
            HttpResponse<byte[]> response =
                    http.send(request.timeout(Duration.ofMinutes(1)).build(), HttpResponse.BodyHandlers.ofByteArray());
            if (response.statusCode() >= 400) {
                throw new Refused(response.statusCode(), new String(response.body(), StandardCharsets.UTF_8));
            }
            return response.body();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }
}
