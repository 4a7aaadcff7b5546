package dobbin.server.reels;

import dobbin.raster.Size;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;

/**
 * A reel on the shelf, or among the removed ones.
 *
 * @param frames that play, and {@code millis} how long
 * @param removed when it was removed, or null
 * @param cover names what the frame in the middle looks like, or null where there is none
 * @param preview names what the whole loop looks like, or null where no frames play
 * @param owner whose it is; null where it is everybody's
 * @param problem a sentence on why it cannot be opened, or null
 */
@Schema(name = "ReelCard")
public record Shelved(
        String id,
        String name,
        int frames,
        int millis,
        Size canvas,
        Instant touched,
        @Schema(types = {"string", "null"}) Instant removed,
        @Schema(types = {"string", "null"}) String cover,
        @Schema(types = {"string", "null"}) String preview,
        @Schema(types = {"string", "null"}) String owner,
        @Schema(types = {"string", "null"}) String problem) {

    /**
     * Some of the shelf.
     *
     * @param total how many reels there are on it
     */
    @Schema(name = "Shelf")
    public record Page(List<Shelved> reels, int total) {}
}
