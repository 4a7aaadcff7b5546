package dobbin.server.pictures;

import dobbin.edit.NewStill;
import dobbin.gather.GatherOptions;
import dobbin.reel.Ranges;
import dobbin.server.Settings;
import dobbin.server.data.Spool;
import dobbin.server.web.Failures;
import dobbin.server.web.Refused;
import dobbin.still.CountingOrder;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.IntStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Takes in one file a request, so that each has its own progress and its own answer. */
@RestController
class PictureController {
    private static final Logger LOG = LoggerFactory.getLogger(PictureController.class);
    private static final int PATIENCE_MILLIS = 500;

    private final Reading reading;
    private final Settings settings;
    private final JsonMapper json;
    private final Spool spool;

    PictureController(Reading reading, Settings settings, JsonMapper json, Spool spool) {
        this.reading = reading;
        this.settings = settings;
        this.json = json;
        this.spool = spool;
    }

    /**
     * @param stills ready to be added: what the edit {@code addStills} takes; none where there is a problem
     * @param notes sentences on what is odd about the file or was left out
     * @param problem a sentence on why it could not be read, or null
     */
    record FileView(
            List<NewStill> stills,
            List<String> notes,
            @Schema(types = {"string", "null"}) String problem) {}

    record LimitsView(long maxFileBytes, long maxWorkingFileBytes, int maxMegapixels, int maxFramesPerFile) {}

    @GetMapping("/api/limits")
    LimitsView limits() {
        return new LimitsView(
                settings.maxFileSize().toBytes(),
                settings.maxWorkingFileSize().toBytes(),
                settings.maxMegapixels(),
                settings.maxFramesPerFile());
    }

    /** Names of files that are to be brought in. */
    record Names(List<String> names) {}

    /** @return the places of the names in counting order, so that the first that plays can be read first */
    @PostMapping("/api/counting-order")
    List<Integer> order(@RequestBody Names files) {
        List<String> names = files.names();
        return IntStream.range(0, names.size())
                .boxed()
                .sorted(Comparator.comparing(names::get, CountingOrder.OF_NAMES))
                .toList();
    }

    /**
     * The body is the file as it is; a picture that can be drawn at any size is drawn with {@code side} pixels on its longer
     * side, or 0 for its own size; and a file of layers becomes one picture where it is to be {@code flattened}. Where reading takes a while, the answer begins with blanks: so the server learns when
     * nobody waits for it any more, and stops.
     */
    @PostMapping(path = "/api/pictures", consumes = "application/octet-stream", produces = "application/json")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = FileView.class)))
    void take(
            @RequestParam String name,
            @RequestParam(defaultValue = "0")
                    @Schema(minimum = "" + GatherOptions.OWN_SIZE, maximum = "" + StillReader.WORKING_SIDE)
                    int side,
            @RequestParam(defaultValue = "false") boolean flattened,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        Ranges.check("side", side, GatherOptions.OWN_SIZE, StillReader.WORKING_SIDE);
        Reading.UnderWay underWay = reading.begin(incoming(request, name), name, new GatherOptions(side, flattened));
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        ServletOutputStream out = response.getOutputStream();
        try {
            out.write(json.writeValueAsBytes(answer(underWay, name, out)));
        } catch (IOException e) {
            underWay.giveUp();
            LOG.debug("Nobody waits for the file any more", e);
        }
    }

    private FileView answer(Reading.UnderWay underWay, String name, ServletOutputStream out) throws IOException {
        while (true) {
            try {
                PictureLibrary.TakenFile taken = underWay.result().get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS);
                List<String> notes = taken.notes().stream()
                        .map(note -> quoted(name) + note + ".")
                        .toList();
                return new FileView(taken.stills(), notes, null);
            } catch (TimeoutException e) {
                out.write(' ');
                out.flush();
            } catch (ExecutionException e) {
                return new FileView(List.of(), List.of(), quoted(name) + clause(e.getCause()));
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                underWay.giveUp();
                return new FileView(List.of(), List.of(), quoted(name) + "was not read: Dobbin is being stopped.");
            }
        }
    }

    private static String clause(Throwable failure) {
        if (failure instanceof UnreadablePicture) {
            return failure.getMessage() + ".";
        }
        if (!(failure instanceof Refused)) {
            LOG.error("Reading failed", failure);
        }
        return "was not read. " + Failures.sentence(failure);
    }

    private Incoming incoming(HttpServletRequest request, String name) throws IOException {
        long most = settings.maxFileSize().toBytes();
        Optional<Incoming> incoming = request.getContentLengthLong() > most
                ? Optional.empty()
                : Incoming.spooled(request.getInputStream(), spool, most);
        return incoming.orElseThrow(() -> new Refused(
                HttpStatus.CONTENT_TOO_LARGE,
                quoted(name) + "is larger than " + most / 1_000_000 + " MB. Make it smaller first."));
    }

    private static String quoted(String name) {
        return "“" + name + "” ";
    }
}
