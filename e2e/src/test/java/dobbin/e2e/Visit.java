package dobbin.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.util.FileSystemUtils;

/** The application with an empty shelf and a browser in front of it; one for all tests of a class. */
final class Visit implements BeforeAllCallback, AfterAllCallback {
    private Path folder;
    private App app;
    private Browser browser;

    @Override
    public void beforeAll(ExtensionContext test) throws IOException {
        folder = Files.createTempDirectory("dobbin-visit");
        app = App.start(folder.resolve("data"));
        browser = new Browser(folder.resolve("profile"));
    }

    @Override
    public void afterAll(ExtensionContext test) throws IOException {
        browser.close();
        app.close();
        FileSystemUtils.deleteRecursively(folder);
    }

    String address() {
        return app.address();
    }

    Browser browser() {
        return browser;
    }
}
