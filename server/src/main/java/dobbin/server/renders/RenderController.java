package dobbin.server.renders;

import dobbin.inspect.Rhythm;
import dobbin.reel.Ranges;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Frames as pictures, and the rhythm of a loop. */
@RestController
class RenderController {
    private static final CacheControl UNCHANGING =
            CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    private final Reels reels;
    private final Renders renders;
    private final Rhythms rhythms;

    RenderController(Reels reels, Renders renders, Rhythms rhythms) {
        this.reels = reels;
        this.renders = renders;
        this.rhythms = rhythms;
    }

    /**
     * @param revision of the reel that was looked at
     * @param changes for each frame, how much it differs from the one before, 0 to 1; the first from the last
     */
    record RhythmView(int revision, double[] changes, double seamRatio, Rhythm.Seam seam) {}

    /** The frame that looks like {@code drawn}, at most {@code width} pixels wide. */
    @GetMapping(path = "/api/reels/{id}/frames/{drawn}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> frame(@PathVariable String id, @PathVariable String drawn, @RequestParam int width) {
        Ranges.check("width", width, 1, Renders.MAX_WIDTH);
        return ResponseEntity.ok().cacheControl(UNCHANGING).body(renders.png(id, drawn, width));
    }

    /** The loop that looks like {@code preview}, small, for the shelf. */
    @GetMapping(path = "/api/reels/{id}/previews/{preview}.gif", produces = MediaType.IMAGE_GIF_VALUE)
    ResponseEntity<byte[]> preview(@PathVariable String id, @PathVariable String preview) {
        return ResponseEntity.ok().cacheControl(UNCHANGING).body(renders.preview(id, preview));
    }

    @GetMapping("/api/reels/{id}/rhythm")
    RhythmView rhythm(@PathVariable String id) {
        OpenReel open = reels.open(id);
        Rhythm rhythm = rhythms.of(open.reel());
        return new RhythmView(open.revision(), rhythm.changes(), rhythm.seamRatio(), rhythm.seam());
    }
}
