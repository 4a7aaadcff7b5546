package dobbin.server.web;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;

/** The Content-Disposition header that saves an answer as a file; the name may have any letters (RFC 6266). */
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
