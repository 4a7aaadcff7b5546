package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import dobbin.lettering.Typeface;
import dobbin.server.Postgres;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Two processes on one PostgreSQL database, and two browsers, one in front of each. */
@Tag("long")
@Tag("alone")
class TwoInstancesTest {
    private static final String DATABASE = "--dobbin.database=";
    private static final int ROUNDS = 3;
    private static final String DELAY = "Delay of frame 1";

    @RegisterExtension
    private static final Visit visit = new Visit();

    @TempDir
    private static Path folder;

    private static App one;
    private static App other;
    private static Browser second;

    @BeforeAll
    static void start() {
        String database = DATABASE + Postgres.started().newDatabase();
        one = App.start(folder.resolve("one"), database);
        other = App.start(folder.resolve("other"), database);
        second = new Browser(folder.resolve("profile"));
    }

    @AfterAll
    static void stop() {
        second.close();
        one.close();
        other.close();
    }

    /** Sees it in the very picture of the page in which it changes. */
    private static void awaitDelay(Page page, int millis) {
        page.waitForFunction(
                "([label, value]) => document.querySelector(`[aria-label=\"${label}\"]`)?.ariaValueNow === value",
                List.of(DELAY, String.valueOf(millis)));
    }

    private static long millisSince(long begun) {
        return Duration.ofNanos(System.nanoTime() - begun).toMillis();
    }

    @Test
    void eachSeesWhatTheOtherDoes() {
        try (Page here = visit.browser().open(one.address())) {
            new Sheet(here).openFive();
            Page there = second.open(here.url().replace(one.address(), other.address()));
            assertThat(new Sheet(there).cards()).hasCount(5);
            awaitDelay(there, 100);
            for (int delay = 110; delay < 110 + 20 * ROUNDS; delay += 20) {
                long begun = System.nanoTime();
                here.getByLabel(DELAY).press("ArrowUp");
                awaitDelay(there, delay);
                long seen = millisSince(begun);
                there.getByLabel(DELAY).press("ArrowUp");
                awaitDelay(here, delay + 10);
                System.out.printf(
                        "seen at the other after %d ms, and back after %d ms%n", seen, millisSince(begun) - seen);
            }
        }
    }

    /** A process that never saw the file finds it by its name, and draws the same letters. */
    @Test
    void aTypefaceThatCameToOneIsUsedByTheOther() throws Exception {
        Api here = new Api(one.address());
        Api there = new Api(other.address());
        byte[] lora;
        try (InputStream file = Typeface.class.getResourceAsStream("Lora-Regular.ttf")) {
            lora = file.readAllBytes();
        }
        JsonNode own = here.send("/api/typefaces?name=Lora.ttf", lora);
        String reel = "/api/reels/"
                + there.post("/api/reels", "{\"name\":\"Last ferry\"}")
                        .get("id")
                        .asString();
        JsonNode frames = there.post(reel + "/edits", """
                {"base":1,"edit":{"type":"addCard","after":0,"delayMillis":90,"card":{"kind":"card","background":"9cc3e0",
                 "text":"Ferry","typeface":"POSTER","own":%s,"size":60,"color":"101830","align":"CENTER"}}}""".formatted(own)).get("frames");
        String picture = reel + "/frames/" + frames.at("/0/drawn").asString() + ".png?width=480";
        byte[] drawn = there.bytes(picture);
        assertThat(here.bytes(picture)).isEqualTo(drawn);
        JsonNode plain = there.post(
                reel + "/edits",
                "{\"base\":2,\"edit\":{\"type\":\"changeCard\",\"frames\":[1],\"card\":"
                        + frames.at("/0/content").toString().replace(own.toString(), "{\"file\":\"\",\"name\":\"\"}")
                        + "}}");
        String inPoster = plain.at("/frames/0/drawn").asString();
        assertThat(there.bytes(reel + "/frames/" + inPoster + ".png?width=480")).isNotEqualTo(drawn);
    }

    @Test
    void aDeliveryWhoseInstanceIsKilledArrivesAtTheOther() throws Exception {
        Api api = new Api(one.address());
        List<String> stills = new ArrayList<>();
        for (DemoFile file : SkerryPoint.sunrise().files()) {
            stills.add(api.upload(file.name(), file.bytes()).toString());
        }
        String reel = "/api/reels/"
                + api.post("/api/reels", "{\"name\":\"Sunrise\"}").get("id").asString();
        api.post(
                reel + "/edits",
                "{\"base\":1,\"edit\":{\"type\":\"addStills\",\"after\":0,\"gathering\":\"\",\"stills\":[%s]}}"
                        .formatted(String.join(",", stills)));
        Page there = second.open(other.address() + reel.replace("/api", "") + "/share");
        assertThat(there.getByLabel("Deliveries")).not().containsText("Dawn.gif");
        JsonNode job = api.post(reel + "/deliveries", "{\"name\":\"Dawn\"}");
        one.kill();
        Api atOther = new Api(other.address());
        assertThat(atOther.get("/api/jobs/" + job.get("id").asString())
                        .get("state")
                        .asString())
                .as("as the one left it")
                .isEqualTo("RUNNING");
        long begun = System.nanoTime();
        assertThat(there.getByLabel("Deliveries")).containsText("Dawn.gif");
        System.out.printf("delivered by the other %d ms after the kill%n", millisSince(begun));
        JsonNode delivered = atOther.get(reel + "/deliveries");
        assertThat(delivered).hasSize(1);
        assertThat(atOther.get("/api/jobs/" + job.get("id").asString()).get("result"))
                .isEqualTo(delivered.at("/0/id"));
        one.startAgain();
    }
}
