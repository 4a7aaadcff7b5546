package dobbin.server.pictures;

import dobbin.edit.NewStill;
import dobbin.server.Settings;
import dobbin.server.web.Refused;
import dobbin.still.UnreadablePicture;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Takes in one file a request, so that each has its own progress and its own answer. */
@RestController
class PictureController {
    private final PictureLibrary library;
    private final Settings settings;

    PictureController(PictureLibrary library, Settings settings) {
        this.library = library;
        this.settings = settings;
    }

    /** @param stills ready to be added: what the edit {@code addStills} takes */
    record FileView(
            List<NewStill> stills,
            @Schema(types = {"string", "null"}) String note) {}

    record LimitsView(long maxFileBytes, int maxMegapixels, int maxFramesPerFile) {}

    @GetMapping("/api/limits")
    LimitsView limits() {
        return new LimitsView(settings.maxFileSize().toBytes(), settings.maxMegapixels(), settings.maxFramesPerFile());
    }

    /** The body is the file as it is. */
    @PostMapping(path = "/api/pictures", consumes = "application/octet-stream")
    FileView take(@RequestParam String name, HttpServletRequest request) throws IOException {
        byte[] file = body(request, name);
        try {
            PictureLibrary.TakenFile taken = library.take(file, name);
            List<NewStill> stills =
                    taken.stills().stream().map(still -> still.named(name)).toList();
            return new FileView(
                    stills, taken.note().map(note -> quoted(name) + note + ".").orElse(null));
        } catch (UnreadablePicture e) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, quoted(name) + e.getMessage() + ".");
        }
    }

    private byte[] body(HttpServletRequest request, String name) throws IOException {
        long most = settings.maxFileSize().toBytes();
        byte[] file = request.getContentLengthLong() > most
                ? null
                : request.getInputStream().readNBytes((int) Math.min(Integer.MAX_VALUE - 8, most + 1));
        if (file == null || file.length > most) {
            throw new Refused(
                    HttpStatus.CONTENT_TOO_LARGE,
                    quoted(name) + "is larger than " + most / 1_000_000 + " MB. Make it smaller first.");
        }
        return file;
    }

    private static String quoted(String name) {
        return "“" + name + "” ";
    }
}
