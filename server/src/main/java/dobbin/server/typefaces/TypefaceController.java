package dobbin.server.typefaces;

import dobbin.lettering.OwnTypeface;
import dobbin.lettering.UnusableTypeface;
import dobbin.server.data.Spool;
import dobbin.server.web.Refused;
import dobbin.server.work.Budget;
import dobbin.server.worker.Workers;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Takes in typeface files. */
@RestController
class TypefaceController {
    private final TypefaceStore store;
    /** The file, what is checked of it, and what the database is given. */
    private static final long COPIES = 3;

    private final Spool spool;
    private final Budget budget;
    private final Workers workers;

    TypefaceController(TypefaceStore store, Spool spool, Budget budget, Workers workers) {
        this.workers = workers;
        this.budget = budget;
        this.store = store;
        this.spool = spool;
    }

    /** The body is the file as it is: TTF or OTF. */
    @PostMapping(path = "/api/typefaces", consumes = "application/octet-stream")
    OwnTypeface take(@RequestParam String name, HttpServletRequest request) throws IOException {
        // To the disk first: one that comes slowly holds no memory.
        Path spooled = spool.take(request.getInputStream(), OwnTypeface.LARGEST_FILE)
                .orElseThrow(() -> new Refused(
                        HttpStatus.CONTENT_TOO_LARGE,
                        "“" + name + "” is larger than " + OwnTypeface.LARGEST_FILE / 1_000_000 + " MB."));
        try {
            // Then where it can do no harm; and only as many at once as there is memory for.
            workers.tryTypeface(spooled);
            long bytes = Math.min(COPIES * Files.size(spooled), budget.mostBytes());
            return budget.during(bytes, () -> {}, () -> kept(spooled));
        } catch (UnusableTypeface e) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, "“" + name + "” " + e.getMessage() + ".");
        } finally {
            Spool.remove(spooled);
        }
    }

    private OwnTypeface kept(Path file) throws UnusableTypeface {
        try {
            return store.keep(Spool.bytes(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
