package dobbin.server;

import java.io.IOException;
import java.util.List;
import java.util.Locale;

/** The page of a running instance, in the browser of whoever started it. */
final class Page {
    private Page() {}

    /** @throws IOException if this machine has no program that opens it */
    static void open(String address) throws IOException {
        String system = System.getProperty("os.name").toLowerCase(Locale.ROOT);
        List<String> opener = system.startsWith("windows")
                ? List.of("rundll32", "url.dll,FileProtocolHandler", address)
                : List.of(system.startsWith("mac") ? "open" : "xdg-open", address);
        new ProcessBuilder(opener).inheritIO().start();
    }
}
