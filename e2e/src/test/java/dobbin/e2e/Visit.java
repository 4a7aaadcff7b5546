package dobbin.e2e;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.springframework.util.FileSystemUtils;

/** The application with an empty shelf and a browser in front of it; the same for all tests, with nothing left of other classes. */
final class Visit implements BeforeAllCallback, AfterEachCallback, AfterAllCallback {
    private static final String EMPTY_THE_SHELF = """
            async () => {
              const ids = (await (await fetch('/api/reels?count=200')).json()).reels.map(reel => reel.id)
              for (const id of ids) await fetch('/api/reels/' + id, { method: 'DELETE' })
              await fetch('/api/removed', { method: 'DELETE' })
            }""";

    private Running running;
    private Page page;

    private static final class Running implements AutoCloseable {
        private final Path folder;
        private final App app;
        private final Browser browser;

        Running() {
            try {
                folder = Files.createTempDirectory("dobbin-visit");
                app = App.start(folder.resolve("data"));
                browser = new Browser(folder.resolve("profile"));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        @Override
        public void close() throws IOException {
            browser.close();
            app.close();
            FileSystemUtils.deleteRecursively(folder);
        }
    }

    @Override
    public void beforeAll(ExtensionContext test) {
        running = test.getRoot()
                .getStore(Namespace.create(Visit.class))
                .getOrComputeIfAbsent(Running.class, type -> new Running(), Running.class);
        running.browser.complaints().clear();
    }

    @Override
    public void afterEach(ExtensionContext test) {
        if (page != null) {
            page.close();
            page = null;
        }
    }

    @Override
    public void afterAll(ExtensionContext test) {
        try (Page page = browser().open(address())) {
            page.evaluate("localStorage.clear()");
            page.evaluate(EMPTY_THE_SHELF);
        }
    }

    /** The page of a test, as a newcomer finds it: the shelf, and nothing remembered. It closes by itself. */
    Page page() {
        if (page == null) {
            page = browser().open(address());
            page.evaluate("localStorage.clear()");
        }
        return page;
    }

    /** The page once more, with nothing on the shelf. */
    void emptyTheShelf() {
        page.evaluate(EMPTY_THE_SHELF);
        page.reload();
    }

    String address() {
        return running.app.address();
    }

    Browser browser() {
        return running.browser;
    }
}
