package dobbin.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import dobbin.server.Bench;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Debian's Chromium in a profile of its own, that remembers what pages complained about; without a window unless {@code
 * -Ddobbin.window=true}.
 */
final class Browser implements AutoCloseable {
    private static final List<String> QUIETLY = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    /** Long enough for a busy machine; what is there sooner is not waited for. */
    private static final int PATIENCE_MILLIS = 30_000;

    private final Playwright playwright = Playwright.create();
    private final BrowserContext context;
    private final List<String> complaints = new ArrayList<>();

    /**
     * A test asks for less motion: it finds the loop paused, and menus open at once, which takes a third less of a processor. A
     * {@code @Bench} sees what people see.
     */
    Browser(Path profile) {
        context = playwright
                .chromium()
                .launchPersistentContext(
                        profile,
                        new BrowserType.LaunchPersistentContextOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium"))
                                .setHeadless(!Boolean.getBoolean("dobbin.window"))
                                .setArgs(QUIETLY)
                                .setReducedMotion(
                                        Bench.Measured.isUnderWay()
                                                ? ReducedMotion.NO_PREFERENCE
                                                : ReducedMotion.REDUCE)
                                .setViewportSize(1280, 800));
        context.setDefaultTimeout(PATIENCE_MILLIS);
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLIS);
    }

    Page open(String address) {
        Page page = context.newPage();
        page.onPageError(complaints::add);
        page.onConsoleMessage(message -> {
            if (message.type().equals("error")) {
                complaints.add(message.text() + " at " + message.location());
            }
        });
        page.navigate(address);
        return page;
    }

    /** @return script errors and console errors so far */
    List<String> complaints() {
        return complaints;
    }

    @Override
    public void close() {
        context.close();
        playwright.close();
    }
}
