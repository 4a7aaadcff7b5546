package dobbin.server.working;

import dobbin.document.UnreadableWork;
import dobbin.document.WorkingFile;
import dobbin.form.FileName;
import dobbin.server.Settings;
import dobbin.server.access.NeedsNoReel;
import dobbin.server.data.Spool;
import dobbin.server.reels.Reels;
import dobbin.server.web.Attachment;
import dobbin.server.web.Failures;
import dobbin.server.web.Refused;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Working files out and in. */
@RestController
class WorkingFileController {
    private static final Logger LOG = LoggerFactory.getLogger(WorkingFileController.class);

    private final WorkingFiles files;
    private final Reels reels;
    private final Spool spool;
    private final Settings settings;
    private final JsonMapper json;

    WorkingFileController(WorkingFiles files, Reels reels, Spool spool, Settings settings, JsonMapper json) {
        this.files = files;
        this.reels = reels;
        this.spool = spool;
        this.settings = settings;
        this.json = json;
    }

    /** @param history whether what was done to the reel comes along */
    @GetMapping("/api/reels/{id}/file")
    void save(
            @PathVariable String id,
            @RequestParam(defaultValue = "false") boolean history,
            HttpServletResponse response)
            throws IOException {
        String name = FileName.safe(reels.open(id).reel().name()) + WorkingFile.SUFFIX;
        Path file = files.save(id, history);
        try {
            response.setContentType(MediaType.APPLICATION_OCTET_STREAM_VALUE);
            response.setContentLengthLong(Files.size(file));
            response.setHeader(Attachment.HEADER, Attachment.called(name));
            Files.copy(file, response.getOutputStream());
        } finally {
            Spool.remove(file);
        }
    }

    /**
     * The body is the file as it is. The answer is told as it comes: a line of JSON for each picture, and a last one. What is refused before
     * a line was sent has a status of its own; afterwards the last line says so.
     */
    @NeedsNoReel
    @PostMapping(path = "/api/reels/file", consumes = "application/octet-stream", produces = "application/x-ndjson")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = Opening.class)))
    void open(@RequestParam String name, HttpServletRequest request, HttpServletResponse response) throws IOException {
        Path file = incoming(request, name);
        response.setContentType(MediaType.APPLICATION_NDJSON_VALUE);
        OutputStream out = response.getOutputStream();
        try {
            write(opened(file, name, response, out), out);
        } catch (CancellationException e) {
            LOG.debug("Nobody waits for a working file any more");
        } finally {
            Spool.remove(file);
        }
    }

    private Opening opened(Path file, String name, HttpServletResponse response, OutputStream out) {
        int[] count = new int[1];
        try {
            String reel = files.open(file, (read, of) -> {
                count[0] = of;
                write(Opening.at(read, of), out);
            });
            return Opening.done(reel, count[0]);
        } catch (UnreadableWork e) {
            return refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    quoted(name) + e.getMessage() + ". Nothing was opened.",
                    response);
        } catch (CancellationException e) {
            throw e;
        } catch (Refused e) {
            return refused(e.status(), quoted(name) + "was not opened. " + e.getMessage(), response);
        } catch (IOException | RuntimeException | OutOfMemoryError e) {
            LOG.error("Opening failed", e);
            return Opening.refused(quoted(name) + "was not opened. " + Failures.sentence(e));
        }
    }

    private static Opening refused(HttpStatus status, String problem, HttpServletResponse response) {
        if (!response.isCommitted()) {
            response.reset();
            throw new Refused(status, problem);
        }
        return Opening.refused(problem);
    }

    private void write(Opening opening, OutputStream out) {
        try {
            out.write(json.writeValueAsBytes(opening));
            out.write('\n');
            out.flush();
        } catch (IOException e) {
            throw (CancellationException) new CancellationException("is not wanted any more").initCause(e);
        }
    }

    private Path incoming(HttpServletRequest request, String name) throws IOException {

        long most = settings.maxWorkingFileSize().toBytes();
        Optional<Path> file =
                request.getContentLengthLong() > most ? Optional.empty() : spool.take(request.getInputStream(), most);
        return file.orElseThrow(() -> new Refused(
                HttpStatus.CONTENT_TOO_LARGE,
                quoted(name) + "is larger than " + most / 1_000_000
                        + " MB, the most that a working file may have here."));
    }

    private static String quoted(String name) {
        return "“" + name + "” ";
    }
}
