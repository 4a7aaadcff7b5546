package dobbin.server;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.HttpURLConnection;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.locks.LockSupport;
import software.amazon.awssdk.auth.credentials.AwsBasicCredentials;
import software.amazon.awssdk.auth.credentials.StaticCredentialsProvider;
import software.amazon.awssdk.http.urlconnection.UrlConnectionHttpClient;
import software.amazon.awssdk.regions.Region;
import software.amazon.awssdk.services.s3.S3Client;

/** A store of buckets that speaks S3, as a process of its own on a free port, with one empty bucket. */
final class BucketServer {
    static final String BUCKET = "skerry";

    private static final Path PROGRAM = Path.of("target", "bucket-server.jar");
    private static final Duration PATIENCE = Duration.ofMinutes(2);
    private static final String KEY = "aws.accessKeyId";
    private static final String SECRET = "aws.secretAccessKey";

    private static BucketServer started;

    private final Process process;
    private final String address;

    private BucketServer(Path folder) throws IOException {
        int port = freePort();
        this.address = "http://127.0.0.1:" + port;
        this.process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx256m",
                        // Where it keeps what it is given.
                        "-Djava.io.tmpdir=" + folder,
                        "-jar",
                        PROGRAM.toString(),
                        "--http.port=" + port,
                        "--server.port=0")
                .redirectErrorStream(true)
                .redirectOutput(new File("target/bucket-server.log"))
                .start();
        Runtime.getRuntime().addShutdownHook(new Thread(process::destroyForcibly));
        // Where the client looks for the key; this store lets everybody in.
        System.setProperty(KEY, "skerry");
        System.setProperty(SECRET, "six lamps");
        awaitAnswer();
        try (S3Client client = client()) {
            client.createBucket(create -> create.bucket(BUCKET));
        }
    }

    static synchronized BucketServer started() {
        try {
            started = started == null ? in(Files.createTempDirectory("dobbin-bucket")) : started;
            return started;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @return one of its own, which keeps what it is given in the folder */
    static BucketServer in(Path folder) throws IOException {
        return new BucketServer(folder);
    }

    void stop() {
        process.destroyForcibly();
    }

    String address() {
        return address;
    }

    /** @return the settings with which an instance uses the bucket */
    String[] settings() {
        return new String[] {"--dobbin.bucket.name=" + BUCKET, "--dobbin.bucket.endpoint=" + address};
    }

    S3Client client() {
        return S3Client.builder()
                .httpClient(UrlConnectionHttpClient.create())
                .region(Region.US_EAST_1)
                .endpointOverride(URI.create(address))
                .forcePathStyle(true)
                .credentialsProvider(
                        StaticCredentialsProvider.create(AwsBasicCredentials.create("skerry", "six lamps")))
                .build();
    }

    private void awaitAnswer() throws IOException {
        long deadline = System.nanoTime() + PATIENCE.toNanos();
        while (System.nanoTime() < deadline && process.isAlive()) {
            try {
                HttpURLConnection connection =
                        (HttpURLConnection) URI.create(address).toURL().openConnection();
                if (connection.getResponseCode() == HttpURLConnection.HTTP_OK) {
                    return;
                }
            } catch (IOException e) {
                LockSupport.parkNanos(Duration.ofMillis(100).toNanos());
            }
        }
        throw new IOException("The store of buckets did not start: see target/bucket-server.log");
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
