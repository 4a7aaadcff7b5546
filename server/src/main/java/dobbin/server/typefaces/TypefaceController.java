package dobbin.server.typefaces;

import dobbin.lettering.OwnTypeface;
import dobbin.lettering.UnusableTypeface;
import dobbin.server.web.Refused;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Takes in typeface files. */
@RestController
class TypefaceController {
    private final TypefaceStore store;

    TypefaceController(TypefaceStore store) {
        this.store = store;
    }

    /** The body is the file as it is: TTF or OTF. */
    @PostMapping(path = "/api/typefaces", consumes = "application/octet-stream")
    OwnTypeface take(@RequestParam String name, HttpServletRequest request) throws IOException {
        try {
            return store.keep(request.getInputStream().readNBytes(OwnTypeface.LARGEST_FILE + 1));
        } catch (UnusableTypeface e) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, "“" + name + "” " + e.getMessage() + ".");
        }
    }
}
