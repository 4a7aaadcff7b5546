package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.server.backup.BackupCommands;
import dobbin.server.bucket.Bucket;
import dobbin.server.deliveries.RemovedDeliveries;
import dobbin.server.pictures.PictureLibrary;
import dobbin.still.PngWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import software.amazon.awssdk.core.exception.SdkException;
import software.amazon.awssdk.core.sync.RequestBody;
import software.amazon.awssdk.services.s3.S3Client;
import software.amazon.awssdk.services.s3.model.S3Object;
import tools.jackson.databind.JsonNode;

/** Pictures and deliveries in a bucket instead of the database. */
class BucketTest {
    private static final BucketServer BUCKETS = BucketServer.started();
    private static final Size LARGE = new Size(900, 700);

    @RegisterExtension
    private static final RunningServer server = new RunningServer(BUCKETS.settings());

    private final S3Client bucket = BUCKETS.client();
    private JsonNode reel;
    private String path;

    @BeforeEach
    void bringAPicture() {
        JsonNode still =
                server.upload("Storm.png", storm(System.nanoTime())).json().at("/stills/0");
        JsonNode empty = server.post("/api/reels", "{\"name\":\"Storm\"}").json();
        reel = server.edit(empty, "{\"type\":\"addStills\",\"after\":0,\"stills\":[" + still + "],\"gathering\":\"\"}")
                .json();
        path = "/api/reels/" + reel.get("id").asString();
    }

    /** Noise, which no packing makes small. */
    private static byte[] storm(long seed) {
        Random random = new Random(seed);
        int[] argb = random.ints(LARGE.area()).map(color -> color | 0xFF000000).toArray();
        return PngWriter.bytes(Raster.of(LARGE, argb));
    }

    private List<String> keys(String first) {
        return bucket.listObjectsV2(list -> list.bucket(BucketServer.BUCKET).prefix(first)).contents().stream()
                .map(S3Object::key)
                .toList();
    }

    private static JdbcTemplate database() {
        return server.bean(JdbcTemplate.class);
    }

    private String picture() {
        return reel.at("/frames/0/content/picture").asString();
    }

    private String delivered() {
        JsonNode job = server.post(path + "/deliveries", "{\"name\":\"Storm\"}").json();
        return server.ended(job).get("result").asString();
    }

    private byte[] frame(String query) {
        String drawn = reel.at("/frames/0/drawn").asString();
        Answer answer = server.get(path + "/frames/" + drawn + ".png?width=" + query);
        assertThat(answer.status()).isEqualTo(200);
        return answer.body();
    }

    private static int sweep(String kind, Function<Set<String>, Set<String>> named) {
        return server.bean(Bucket.class).sweep(kind, Instant.now().plusSeconds(60), named);
    }

    private static String place(String kind, String id) {
        return server.bean(Bucket.class).place(kind, id);
    }

    private void put(String key) {
        bucket.putObject(put -> put.bucket(BucketServer.BUCKET).key(key), RequestBody.fromBytes(new byte[10]));
    }

    @Test
    void aPictureLiesInThePlaceItsRowNames() {
        String place = database().queryForObject("SELECT place FROM picture WHERE id = ?", String.class, picture());
        assertThat(place).startsWith(place("pictures", picture()));
        assertThat(keys(place)).containsExactlyInAnyOrder(place + "/bytes", place + "/small");
        assertThat(database()
                        .queryForObject(
                                "SELECT bytes IS NULL AND small IS NULL FROM picture WHERE id = ?",
                                Boolean.class,
                                picture()))
                .isTrue();
        assertThat(bucket.getObjectAsBytes(
                                get -> get.bucket(BucketServer.BUCKET).key(place + "/bytes"))
                        .asByteArray())
                .isEqualTo(server.bean(PictureLibrary.class).file(picture()));
    }

    @Test
    void allIsThereAfterARestart() {
        byte[] small = frame("200");
        byte[] large = frame("480");
        String delivery = delivered();
        byte[] file = server.get("/api/deliveries/" + delivery + ".gif").body();
        assertThat(new String(file, 0, 6, StandardCharsets.US_ASCII)).isEqualTo("GIF89a");
        server.restart();
        assertThat(frame("200")).isEqualTo(small);
        assertThat(frame("480")).isEqualTo(large);
        assertThat(server.get("/api/deliveries/" + delivery + ".gif").body()).isEqualTo(file);
        assertThat(keys(place("deliveries", delivery))).hasSize(1);
    }

    @Test
    void aCopySaysWhatItDoesNotHold(@TempDir Path folder) throws Exception {
        int lying = database()
                .queryForObject(
                        "SELECT (SELECT COUNT(*) FROM picture WHERE place IS NOT NULL) + (SELECT COUNT(*) FROM delivery WHERE place IS NOT NULL)",
                        Integer.class);
        String said = BackupCommands.backup(folder.resolve("copy.zip"), server.data());
        assertThat(said)
                .endsWith("It does not hold what lies in the bucket: "
                        + (lying == 1 ? "1 picture or delivery." : lying + " pictures and deliveries."));
    }

    @Test
    void whatIsSmallStaysInTheDatabase() {
        String small = server.reelOf(0xFF9CC3E0).at("/frames/0/content/picture").asString();
        assertThat(keys(place("pictures", small))).isEmpty();
        assertThat(database()
                        .queryForObject("SELECT bytes IS NOT NULL FROM picture WHERE id = ?", Boolean.class, small))
                .isTrue();
    }

    @Test
    void whatNoRowNamesIsSweptAndTheRestStays() {
        String delivery = delivered();
        put(place("pictures", "left-behind/bytes"));
        put(place("deliveries", "left-behind/file.gif"));
        put("another-folder/pictures/its-own/bytes");
        assertThat(server.bean(Bucket.class).sweep("pictures", Instant.now().minusSeconds(3600), places -> Set.of()))
                .as("what came just now may yet be named")
                .isZero();
        assertThat(sweep("pictures", server.bean(PictureLibrary.class)::placesNamed))
                .isEqualTo(1);
        assertThat(sweep("deliveries", server.bean(RemovedDeliveries.class)::placesNamed))
                .isEqualTo(1);
        assertThat(keys(place("pictures", "left-behind"))).isEmpty();
        assertThat(keys(place("pictures", picture()))).hasSize(2);
        assertThat(keys("another-folder/"))
                .as("what another database put there")
                .hasSize(1);
        assertThat(server.get("/api/deliveries/" + delivery + ".gif").status()).isEqualTo(200);
    }

    /** It is noticed on the way: the end is not sent, so that nobody takes it for the file. */
    @Test
    void ofADamagedDeliveryTheEndDoesNotCome() {
        String delivery = delivered();
        String key = place("deliveries", delivery) + "/file.gif";
        byte[] file = server.get("/api/deliveries/" + delivery + ".gif").body();
        file[file.length / 2] ^= 1;
        bucket.putObject(put -> put.bucket(BucketServer.BUCKET).key(key), RequestBody.fromBytes(file));
        assertThatThrownBy(() -> server.get("/api/deliveries/" + delivery + ".gif"))
                .hasCauseInstanceOf(IOException.class);
        bucket.deleteObject(delete -> delete.bucket(BucketServer.BUCKET).key(key));
        Answer lost = server.get("/api/deliveries/" + delivery + ".gif");
        assertThat(lost.status()).isEqualTo(500);
        assertThat(lost.detail())
                .isEqualTo("The bucket has lost a file that Dobbin put there. Put a backup of the bucket back.");
    }

    @Test
    void aBucketThatIsNotThereIsSaidAtTheStart() {
        assertThatThrownBy(() -> DobbinServer.start(
                        "--server.port=0",
                        "--dobbin.data-folder=" + server.data().resolve("another"),
                        "--dobbin.bucket.name=nowhere",
                        "--dobbin.bucket.endpoint=" + BUCKETS.address()))
                .hasRootCauseInstanceOf(SdkException.class)
                .hasStackTraceContaining(
                        "The bucket of pictures and deliveries cannot be reached, or does not let Dobbin in.");
    }
}
