package dobbin.server.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** Writes a problem document where a request is turned away before any controller sees it. */
public final class ProblemWriter {
    private ProblemWriter() {}

    /** @param title and {@code detail} of letters that need no escaping in JSON */
    public static void write(HttpServletResponse response, HttpStatus status, String title, String detail)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        String id = RequestId.of(response);
        response.getWriter()
                .write("{\"status\":" + status.value() + ",\"title\":\"" + title + "\",\"detail\":\"" + detail + "\""
                        + (id == null ? "" : ",\"request\":\"" + id + "\"") + "}");
    }
}
