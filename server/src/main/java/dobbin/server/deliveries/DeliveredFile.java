package dobbin.server.deliveries;

import java.io.IOException;
import java.io.InputStream;

/**
 * The file of a delivery.
 *
 * @param size in bytes
 */
record DeliveredFile(String reel, String name, int size, Source source) {
    /** Where it lies. */
    interface Source {
        /** @throws dobbin.server.web.Refused where it is not what was delivered; from a bucket, at the end of the stream */
        InputStream open() throws IOException;
    }
}
