package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import java.util.List;
import java.util.regex.Pattern;

/** What a person does on the shelf and the sheet, and what they see there. */
final class Sheet {
    private final Page page;

    Sheet(Page page) {
        this.page = page;
    }

    void choose(FilePayload... files) {
        page.locator("[data-test=files]").first().setInputFiles(files);
    }

    /** Five stills whose names sort badly. */
    void openFive() {
        choose(Stills.png(10), Stills.png(2), Stills.png(1), Stills.png(9), Stills.png(3));
        assertThat(cards()).hasCount(5);
    }

    Locator cards() {
        return page.getByRole(AriaRole.OPTION);
    }

    Locator card(int number) {
        return cards().nth(number - 1);
    }

    /** The button with exactly that name; the first of several. */
    Locator button(String name) {
        return page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first();
    }

    /** Chooses from the menu that is open. */
    void choose(String entry) {
        page.locator(".v-menu .v-list-item-title")
                .getByText(entry, new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    void select(String way) {
        page.locator("button.words").click();
        choose(way);
    }

    void more(String action) {
        button("More to do").click();
        choose(action);
    }

    void add(String what) {
        button("Add").click();
        choose(what);
    }

    /** Answers the question that is asked, and waits until it is gone. */
    void answer(String field, String value, String verb) {
        Locator dialog = page.locator(".v-dialog .v-card");
        dialog.getByLabel(field).fill(value);
        dialog.getByText(verb, new Locator.GetByTextOptions().setExact(true))
                .last()
                .click();
        assertThat(dialog).hasCount(0);
    }

    void assertSelection(String words) {
        assertThat(page.locator("button.words")).hasText(words);
    }

    /** The frames with these numbers, and no others. */
    void chooseFrames(int... numbers) {
        card(numbers[0]).click();
        for (int i = 1; i < numbers.length; i++) {
            card(numbers[i]).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.CONTROL)));
        }
    }

    /** @return the delays as the cards show them, in ms or s */
    List<String> delays() {
        Object found = page.locator("[role=option] .facts > span")
                .evaluateAll("all => all.map(each => each.firstChild.textContent.trim())");
        return ((List<?>) found).stream().map(Object::toString).toList();
    }

    void awaitDelays(String... delays) {
        page.waitForCondition(() -> delays().equals(List.of(delays)));
    }

    void awaitUndo(String title) {
        assertThat(button("Undo")).hasAttribute("title", "Undo: " + title + " (Ctrl + Z)");
    }

    void toSlim() {
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Slim").setExact(true))
                .click();
    }

    /** Opens Slim, and there the setting of the width. */
    Locator slimWidth() {
        toSlim();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile("Size.*")))
                .click();
        return page.getByRole(AriaRole.TABPANEL).getByLabel("Width", new Locator.GetByLabelOptions().setExact(true));
    }

    void toShare() {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Share"))
                .click();
    }

    Locator weight() {
        return page.locator("button.weight b");
    }

    int awaitedBytes() {
        assertThat(weight()).hasText(Pattern.compile("\\d+ bytes"));
        return Integer.parseInt(weight().textContent().replaceAll("\\D", ""));
    }

    /** @return the numbers of the stills in the order they lie on the sheet, all read in one moment */
    List<Integer> order() {
        Object labels = cards().evaluateAll("cards => cards.map(card => card.textContent)");
        return ((List<?>) labels)
                .stream()
                        .map(label -> Integer.valueOf(label.toString().replaceAll(".*Tide (\\d+)\\.png.*", "$1")))
                        .toList();
    }

    void awaitOrder(Integer... numbers) {
        page.waitForCondition(() -> order().equals(List.of(numbers)));
    }

    void drag(Locator from, Locator to) {
        BoundingBox start = from.boundingBox();
        BoundingBox end = to.boundingBox();
        page.mouse().move(start.x + start.width / 2, start.y + start.height / 2);
        page.mouse().down();
        page.mouse().move(end.x + 20, end.y + 20, new Mouse.MoveOptions().setSteps(8));
        page.mouse().move(end.x + 8, end.y + end.height / 2);
        assertThat(page.locator(".mark")).isVisible();
    }

    /** What the server says of the open reel. @param what of {@code canvas} and {@code frames}, in JavaScript */
    Object told(String what) {
        return page.evaluate(
                "async (id) => { const { canvas, frames } = await (await fetch('/api/reels/' + id)).json(); return "
                        + what + " }",
                page.url().replaceAll(".*/reels/([0-9a-f-]+)/.*", "$1"));
    }
}
