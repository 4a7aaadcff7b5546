package dobbin.form;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;

/** A page that shows the loop and holds all that it needs. */
final class ExampleForm implements Form {
    private static final String SUFFIX = ".example.html";

    @Override
    public String id() {
        return "example";
    }

    @Override
    public List<String> suffixes() {
        return List.of(SUFFIX);
    }

    @Override
    public void write(Material material, Files files) throws IOException {
        DrawnLoop loop = material.loop();
        String page = Html.page(
                material.name(),
                within("image/gif", material.gif().get()),
                within("image/png", StillForm.bytes(material)),
                loop.size(),
                loop.sharing().alt());
        files.next(SUFFIX).write(page.getBytes(StandardCharsets.UTF_8));
    }

    private static String within(String mediaType, byte[] bytes) {
        return "data:" + mediaType + ";base64," + Base64.getEncoder().encodeToString(bytes);
    }
}
