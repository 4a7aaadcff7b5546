package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A bench that was left leaves nothing in the browser's memory. */
@Tag("long")
class LeavingBenchesTest {
    private static final List<String> BENCHES = List.of("Draw", "Move", "Slim", "Share", "Sheet");
    private static final int ROUNDS = Boolean.getBoolean("dobbin.all") ? 50 : 10;
    private static final int WARM_UP = Boolean.getBoolean("dobbin.all") ? 12 : 6;

    @RegisterExtension
    private static final Visit visit = new Visit();

    private Page page;
    private CDPSession tools;

    /** @param bytes of the heap, and {@code nodes} of documents, after a collection */
    private record Kept(double bytes, double nodes) {}

    private void round() {
        for (String bench : BENCHES) {
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName(bench).setExact(true))
                    .click();
            assertThat(page.locator("main.bench > *").first()).isVisible();
        }
    }

    private Kept kept() {
        page.waitForTimeout(500);
        for (int times = 0; times < 3; times++) {
            tools.send("HeapProfiler.collectGarbage");
        }
        double bytes = tools.send("Runtime.getHeapUsage").get("usedSize").getAsDouble();
        for (JsonElement each : tools.send("Performance.getMetrics").getAsJsonArray("metrics")) {
            JsonObject metric = each.getAsJsonObject();
            if (metric.get("name").getAsString().equals("Nodes")) {
                return new Kept(bytes, metric.get("value").getAsDouble());
            }
        }
        throw new AssertionError("no nodes are counted");
    }

    @Test
    void openingAndLeavingEachBenchManyTimesKeepsNothing() {
        page = visit.page();
        new Sheet(page).openFive();
        tools = page.context().newCDPSession(page);
        tools.send("Performance.enable");
        for (int i = 0; i < WARM_UP; i++) {
            round();
        }
        Kept before = kept();
        for (int i = 0; i < ROUNDS; i++) {
            round();
        }
        Kept after = kept();
        System.out.printf("kept: %s, then %s%n", before, after);
        assertThat(after.bytes - before.bytes).as("bytes").isLessThan(4_000_000);
        assertThat(after.nodes - before.nodes).as("nodes").isLessThan(1_000);
    }
}
