package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** An edit belongs to the reel, and to what was chosen, when it was made; and a page hears of what happens elsewhere. */
class KeptWithItsReelTest extends BrowserTest {
    private final List<Route> held = new ArrayList<>();
    private boolean holding = true;
    private Easel easel;
    private Api api;

    @BeforeEach
    void open() {
        easel = new Easel(page);
        api = new Api(visit.address());
    }

    /** Requests to such an address wait from now on. */
    private void hold(String address) {
        page.route(address, route -> {
            if (holding) {
                held.add(route);
            } else {
                route.resume();
            }
        });
    }

    private void letGo() {
        holding = false;
        held.forEach(Route::resume);
        held.clear();
    }

    private void toTheShelf() {
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Shelf").setExact(true))
                .click();
        assertThat(page.getByText("Drop stills here to begin a loop")).isVisible();
    }

    private void threeStrokes() {
        easel.stroke(10.5, 10.5, 20.5, 10.5);
        easel.stroke(10.5, 20.5, 20.5, 20.5);
        easel.stroke(10.5, 30.5, 20.5, 30.5);
        page.waitForCondition(() -> held.size() == 1);
    }

    @Test
    void strokesThatWaitAreDrawnInTheirReelAfterItWasLeft() throws Exception {
        easel.newReel("64 × 64");
        hold("**/marks");
        threeStrokes();
        String first = easel.reel();
        toTheShelf();
        sheet.button("New reel…").click();
        page.locator(".v-dialog button[type=submit]").click();
        page.waitForURL(Pattern.compile(".*/reels/(?!" + first + ").*"));
        easel.toDraw();
        String second = easel.reel();
        assertThat(easel.inkCanvas()).hasAttribute("data-ink", "");
        letGo();
        page.waitForCondition(() -> steps(first) == 3);
        assertThat(steps(second)).isZero();
        assertThat(easel.inkCanvas()).hasAttribute("data-ink", "");
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
    }

    /** @return how many steps of its history are strokes */
    private long steps(String reel) {
        try {
            return api.get("/api/reels/" + reel + "/history")
                    .get("steps")
                    .valueStream()
                    .filter(step -> step.get("title").asString().startsWith("Draw"))
                    .count();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void whatCouldNotBeDrawnStaysWithItsReel() throws Exception {
        easel.newReel("64 × 64");
        page.route("**/marks", route -> route.abort());
        easel.stroke(10.5, 10.5, 20.5, 10.5);
        Locator notSaved = page.getByText("One mark is not saved.");
        assertThat(notSaved).isVisible();
        String first = easel.reel();
        toTheShelf();
        easel.newReel("64 × 64");
        assertThat(notSaved).hasCount(0);
        page.unroute("**/marks");
        toTheShelf();
        page.locator("a[href*='" + first + "']").first().click();
        easel.toDraw();
        assertThat(notSaved).isVisible();
        sheet.button("Try again").click();
        sheet.awaitUndo("Draw on frame 1");
        assertThat(notSaved).hasCount(0);
    }

    @Test
    void leavingThePageWhileSomethingIsUnsentAsksFirst() {
        easel.newReel("64 × 64");
        hold("**/marks");
        threeStrokes();
        List<String> asked = new ArrayList<>();
        page.onDialog(dialog -> {
            asked.add(dialog.type());
            if (holding) {
                dialog.dismiss();
            } else {
                dialog.accept();
            }
        });
        page.evaluate("setTimeout(() => location.reload())");
        page.waitForCondition(() -> asked.size() == 1);
        assertThat(asked).containsExactly("beforeunload");
        letGo();
        page.waitForCondition(() -> steps(easel.reel()) == 3);
        page.waitForTimeout(200);
        page.reload();
        assertThat(asked).as("nothing is unsent any more").hasSize(1);
        assertThat(easel.inkCanvas()).isVisible();
    }

    /** A value belongs to the frames that were chosen when it was typed, whichever way the field is left. */
    @Test
    void aDelayIsOfTheFramesThatWereChosenWhenItWasTyped() {
        sheet.openFive();
        sheet.chooseFrames(2);
        Locator delay = page.getByLabel("Delay in ms");
        delay.fill("200");
        sheet.card(5).click();
        sheet.awaitDelays("100 ms", "200 ms", "100 ms", "100 ms", "100 ms");
        delay.fill("300");
        page.locator("button.words").click();
        sheet.choose("All");
        sheet.awaitDelays("100 ms", "200 ms", "100 ms", "100 ms", "300 ms");
    }

    @Test
    void aPageThatCannotHearSaysSoAndHearsAgain() throws Exception {
        sheet.openFive();
        String reel = easel.reel();
        page.route("**/events", route -> route.fulfill(new Route.FulfillOptions().setStatus(502)));
        toTheShelf();
        page.goBack();
        assertThat(sheet.cards()).hasCount(5);
        assertThat(page.getByText("Not connected. Trying again…")).isVisible();
        rename(reel, "Heard of late");
        page.unroute("**/events");
        assertThat(page.getByText("Heard of late")).isVisible();
        assertThat(page.getByText("Not connected. Trying again…")).hasCount(0);
        visit.browser().complaints().removeIf(each -> each.contains("502"));
    }

    private void rename(String reel, String name) throws IOException {
        int revision = api.get("/api/reels/" + reel).get("revision").asInt();
        api.post(
                "/api/reels/" + reel + "/edits",
                "{\"base\":" + revision + ",\"edit\":{\"type\":\"rename\",\"name\":\"" + name + "\"}}");
    }

    @Test
    void aChangeThatComesWhileAnEditIsUnderWayIsTakenOverAfterIt() throws Exception {
        sheet.openFive();
        hold("**/edits");
        sheet.chooseFrames(1);
        page.keyboard().press("Delete");
        page.waitForCondition(() -> held.size() == 1);
        rename(easel.reel(), "Changed elsewhere");
        page.waitForTimeout(400);
        held.get(0)
                .fulfill(new Route.FulfillOptions()
                        .setStatus(400)
                        .setContentType("application/problem+json")
                        .setBody("{\"status\":400,\"detail\":\"frames cannot be that\"}"));
        assertThat(page.getByText("Changed elsewhere")).isVisible();
        visit.browser().complaints().removeIf(each -> each.contains("400"));
    }

    @Test
    void aDeliveryIsFollowedOverAReload() {
        sheet.openFive();
        sheet.awaitedBytes();
        sheet.toShare();
        List<String> state = new ArrayList<>(List.of("RUNNING"));
        page.route(Pattern.compile(".*/api/reels/[^/]+/deliveries$"), route -> {
            if (route.request().method().equals("POST")) {
                route.fulfill(json(202, state.get(0)));
            } else {
                route.resume();
            }
        });
        page.route("**/api/jobs/made-up", route -> route.fulfill(json(200, state.get(0))));
        sheet.button("Deliver").click();
        Locator stop = sheet.button("Stop");
        assertThat(stop).isVisible();
        page.reload();
        assertThat(stop).isVisible();
        state.set(0, "FAILED");
        page.reload();
        assertThat(page.getByText("The tide came in.")).isVisible();
        assertThat(stop).hasCount(0);
        page.reload();
        assertThat(sheet.button("Deliver")).isVisible();
        assertThat(page.getByText("The tide came in.")).hasCount(0);
    }

    private static Route.FulfillOptions json(int status, String state) {
        return new Route.FulfillOptions()
                .setStatus(status)
                .setContentType("application/json")
                .setBody("{\"id\":\"made-up\",\"title\":\"Deliver\",\"state\":\"" + state
                        + "\",\"done\":1,\"total\":5,\"result\":null,\"problem\":"
                        + (state.equals("FAILED") ? "\"The tide came in.\"" : "null") + "}");
    }
}
