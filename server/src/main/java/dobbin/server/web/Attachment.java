package dobbin.server.web;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;

/** What tells a browser to save an answer as a file of that name, whatever letters that has. */
public final class Attachment {
    public static final String HEADER = "Content-Disposition";

    private Attachment() {}

    public static String called(String name) {
        return ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString();
    }
}
