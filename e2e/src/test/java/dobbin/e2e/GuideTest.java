package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The guide is part of the application: each view leads to its page, which has its pictures. */
class GuideTest extends BrowserTest {
    private static final List<String> BENCHES = List.of("sheet", "draw", "move", "slim", "share");

    private Locator link(String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private void assertShows(String title) {
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .containsText(title);
    }

    @Test
    void eachViewLeadsToItsPage() {
        assertThat(link("Guide to this page")).hasAttribute("href", "/guide/shelf");
        sheet.openFive();
        String reel = page.url().replace("/sheet", "/");
        for (String bench : BENCHES) {
            page.navigate(reel + bench);
            assertThat(link("Guide to this page")).hasAttribute("href", "/guide/" + bench);
        }
        Page guide = page.waitForPopup(() -> link("Guide to this page").click());
        assertThat(guide).hasURL(visit.address() + "/guide/share");
        guide.close();
    }

    @Test
    void allPicturesOfAllPagesAreThere() {
        for (String each : List.of("shelf", "sheet", "draw", "move", "slim", "share")) {
            page.navigate(visit.address() + "/guide/" + each);
            assertShows(each.substring(0, 1).toUpperCase(Locale.ROOT) + each.substring(1));
            assertThat(page.locator("article img").first()).isVisible();
            page.waitForFunction("[...document.querySelectorAll('article img')].every(image => image.complete)");
            assertThat(
                            (Boolean)
                                    page.evaluate(
                                            "[...document.querySelectorAll('article img')].every(image => image.naturalWidth > 600 && image.alt)"))
                    .as(each)
                    .isTrue();
        }
    }

    @Test
    void linksWithinTheTextLeadThroughTheGuide() {
        page.navigate(visit.address() + "/guide/nowhere");
        assertShows("The guide");
        page.evaluate("window.same = true");
        page.locator("article").getByText("Slim").first().click();
        assertThat(page).hasURL(visit.address() + "/guide/slim");
        assertShows("Slim");
        assertThat(page).hasTitle("Slim · Guide · Dobbin");
        // What a page of the guide names in the other documents is no link here.
        assertThat(page.locator("article a[href*='.md']")).hasCount(0);
        link("Keys").click();
        assertShows("Keys");
        assertThat(page.locator("article table")).isVisible();
        assertThat((Boolean) page.evaluate("window.same"))
                .as("without a new load")
                .isTrue();
    }

    @Test
    void eachPageBeginsAtItsTopAndALinkToAPlaceLeadsThere() {
        page.setViewportSize(1024, 500);
        page.navigate(visit.address() + "/guide/shelf");
        page.locator("article").getByText("what can be brought in").first().click();
        Locator place = page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("What can be brought in"));
        assertThat(place).isInViewport();
        page.waitForFunction("document.querySelector('.guide').scrollTop > 0");
        link("Slim").click();
        assertShows("Slim");
        page.waitForFunction("document.querySelector('.guide').scrollTop === 0");
        page.navigate(visit.address() + "/guide/shelf#what-can-be-brought-in");
        assertThat(place).isInViewport();
    }

    @Test
    void aPageThatCannotBeFetchedSaysSo() {
        page.navigate(visit.address() + "/guide/slim");
        assertShows("Slim");
        page.context().setOffline(true);
        try {
            link("Move").click();
            assertThat(page.getByRole(AriaRole.ALERT))
                    .hasText("This page could not be fetched. See that Dobbin runs, then reload it.");
        } finally {
            page.context().setOffline(false);
        }
        link("Slim").click();
        assertShows("Slim");
        visit.browser().complaints().clear();
    }

    @Test
    void whoseWorkIsInItIsTold() {
        page.navigate(visit.address() + "/guide/");
        assertThat(page.getByText(Pattern.compile("Dobbin \\d+\\.\\d+\\.\\d+"))).isVisible();
        String ofInterface = page.request()
                .get(visit.address()
                        + link("The interface's libraries and fonts").getAttribute("href"))
                .text();
        assertThat(ofInterface).contains("vuetify", "vue-router", "figtree", "SIL OPEN FONT LICENSE", "MIT");
        String ofTypefaces = page.request()
                .get(visit.address()
                        + link("The typefaces of words in pictures").getAttribute("href"))
                .text();
        assertThat(ofTypefaces).contains("## Lora", "## NotoEmoji").contains("SIL OPEN FONT LICENSE");
        String ofServer = page.request()
                .get(visit.address() + link("The server's libraries").getAttribute("href"))
                .text();
        assertThat(ofServer)
                .contains("com.h2database:h2", "spring-boot", "org.postgresql:postgresql", "Apache")
                .doesNotContain("junit", "dobbin:");
    }
}
