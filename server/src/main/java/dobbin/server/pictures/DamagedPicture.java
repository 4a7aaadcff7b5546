package dobbin.server.pictures;

import dobbin.server.web.Failures;

/** A stored picture that is not what it was when it came. */
final class DamagedPicture extends RuntimeException implements Failures.Explained {
    DamagedPicture(String id, Throwable cause) {
        super(
                "A picture is damaged on the disk (" + id.substring(0, 8)
                        + "…). Put a backup of the data file back, or replace the picture.",
                cause);
    }
}
