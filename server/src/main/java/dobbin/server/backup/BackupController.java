package dobbin.server.backup;

import dobbin.server.data.DataFolder;
import dobbin.server.data.DataStore;
import dobbin.server.data.Spool;
import dobbin.server.local.LocalToken;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Gives a copy of the data file to whoever can read the data folder anyhow. */
@RestController
class BackupController {
    static final String PATH = "/api/backup";

    private final DataStore data;
    private final Spool spool;
    private final LocalToken token;

    BackupController(DataStore data, Spool spool, LocalToken token) {
        this.data = data;
        this.spool = spool;
        this.token = token;
    }

    /** The copy is whole before any of it is sent. */
    @PostMapping(PATH)
    void backup(@RequestHeader(name = LocalToken.HEADER, defaultValue = "") String told, HttpServletResponse response)
            throws IOException {
        token.check(told, PATH);
        Path file = data.folder().resolve(DataFolder.FILE);
        data.needDisk(Files.exists(file) ? Files.size(file) : 0);
        Path copy = spool.begin();
        try {
            data.copyTo(copy);
            response.setContentType(MediaType.APPLICATION_OCTET_STREAM_VALUE);
            response.setContentLengthLong(Files.size(copy));
            Files.copy(copy, response.getOutputStream());
        } finally {
            Spool.remove(copy);
        }
    }
}
