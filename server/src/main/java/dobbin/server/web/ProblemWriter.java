package dobbin.server.web;

import com.fasterxml.jackson.annotation.JsonInclude;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.json.JsonMapper;

/** Writes a problem document where a request is turned away before any controller sees it. */
public final class ProblemWriter {
    private ProblemWriter() {}

    /** @param request the request's id, or null where it has none */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    private record Problem(int status, String title, String detail, String request) {}

    public static void write(HttpServletResponse response, HttpStatus status, String title, String detail)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        Problem problem = new Problem(status.value(), title, detail, RequestId.of(response));
        response.getOutputStream().write(JsonMapper.shared().writeValueAsBytes(problem));
    }
}
