package dobbin.server.drawing;

import dobbin.draw.Mark;
import dobbin.reel.Ranges;
import dobbin.server.reels.ReelView;
import dobbin.server.web.NotFound;
import dobbin.server.work.Turns;
import dobbin.server.work.Turns.Urgency;
import dobbin.still.PngWriter;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Marks on frames, and the layers a frame is drawn of. */
@RestController
class DrawingController {
    private static final CacheControl UNCHANGING =
            CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    private final Drawings drawings;
    private final Turns turns;

    DrawingController(Drawings drawings, Turns turns) {
        this.drawings = drawings;
        this.turns = turns;
    }

    record MarkRequest(List<Integer> frames, Mark mark) {}

    record ImprintRequest(int cutout, List<Integer> frames) {}

    record Colors(List<String> colors) {}

    /** Makes a mark on the ink of frames, as it is by then: one step of the history. */
    @PostMapping("/api/reels/{id}/marks")
    ReelView mark(@PathVariable String id, @RequestBody MarkRequest request) {
        return ReelView.of(drawings.mark(id, request.frames(), request.mark()));
    }

    /** Makes a cut-out ink on frames, as it lies there, and takes it away from them: one step of the history. */
    @PostMapping("/api/reels/{id}/imprints")
    ReelView imprint(@PathVariable String id, @RequestBody ImprintRequest request) {
        return ReelView.of(drawings.imprint(id, request.cutout(), request.frames()));
    }

    /**
     * A layer of a frame, as large as the canvas, or 1600 pixels a side: its ink, by the name of its picture, or what lies under
     * or over it.
     */
    @GetMapping(path = "/api/reels/{id}/layers/{layer}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> layer(@PathVariable String id, @PathVariable String layer) {
        byte[] png = turns.call(
                Urgency.NOW,
                () -> PngWriter.bytes(drawings.layer(id, layer)
                        .orElseThrow(() -> new NotFound("No frame of this reel is drawn like that any more."))));
        return ResponseEntity.ok().cacheControl(UNCHANGING).body(png);
    }

    /** The colors of what is seen on a frame. */
    @GetMapping("/api/reels/{id}/frames/{frame}/colors")
    Colors colors(@PathVariable String id, @PathVariable int frame, @RequestParam(defaultValue = "16") int count) {
        return new Colors(drawings.colors(id, frame, Ranges.check("count", count, 2, Ranges.MAX_SWATCHES)));
    }
}
