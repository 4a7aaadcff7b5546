package dobbin.server.renders;

import dobbin.edit.Edit;
import dobbin.edit.SetCanvas;
import dobbin.inspect.Inspection;
import dobbin.inspect.Notice;
import dobbin.inspect.Rhythm;
import dobbin.raster.Bounds;
import dobbin.raster.Size;
import dobbin.reel.Art;
import dobbin.reel.Border;
import dobbin.reel.Fill;
import dobbin.reel.FrameContent;
import dobbin.reel.PictureRef;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.server.access.Needs;
import dobbin.server.access.Right;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import dobbin.server.work.Turns.Urgency;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Frames as pictures, and the rhythm of a loop. */
@RestController
class RenderController {
    private static final CacheControl UNCHANGING =
            CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    private final Reels reels;
    private final Renders renders;
    private final Inspections sights;
    private final StageAhead ahead;

    RenderController(Reels reels, Renders renders, Inspections sights, StageAhead ahead) {
        this.reels = reels;
        this.renders = renders;
        this.sights = sights;
        this.ahead = ahead;
    }

    /**
     * @param revision of the reel that was looked at
     * @param complete whether all was looked at; if not, the event {@code looked} tells when it is
     * @param changes for each frame, how much it differs from the one before in the loop, 0 to 1
     * @param usual the loop's usual step
     * @param notices what is worth a word, and what can be done about it
     */
    record RhythmView(
            int revision,
            boolean complete,
            double[] changes,
            double usual,
            double seamRatio,
            Rhythm.Seam seam,
            List<Notice> notices) {}

    /**
     * The frame that looks like {@code drawn}, at most {@code width} pixels wide; without the cut-outs whose ids are given.
     *
     * @param now whether somebody waits for this very one, as for the frame on the stage
     */
    @GetMapping(path = "/api/reels/{id}/frames/{drawn}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> frame(
            @PathVariable String id,
            @PathVariable String drawn,
            @RequestParam int width,
            @RequestParam(defaultValue = "") Set<Integer> without,
            @RequestParam(defaultValue = "false") boolean now) {
        Ranges.check("width", width, 1, Renders.MAX_WIDTH);
        if (now && without.isEmpty()) {
            ahead.waitedFor(id, drawn, width);
        }
        Urgency urgency = now ? Urgency.NOW : Urgency.SEEN;
        return ResponseEntity.ok().cacheControl(UNCHANGING).body(renders.png(id, drawn, width, without, urgency));
    }

    /** What a cut-out shows, alone and upright, where that is called {@code art}, reduced to be at most {@code width} wide. */
    @GetMapping(path = "/api/reels/{id}/cutouts/{cutout}/{art}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> art(
            @PathVariable String id, @PathVariable int cutout, @PathVariable String art, @RequestParam int width) {
        Ranges.check("width", width, 1, Renders.MAX_WIDTH);
        return ResponseEntity.ok().cacheControl(UNCHANGING).body(renders.art(id, cutout, art, width));
    }

    /** Something a cut-out might show. */
    record ArtDraft(Art art) {}

    /** Draws what no cut-out shows yet. */
    @PostMapping(path = "/api/reels/{id}/arts", produces = MediaType.IMAGE_PNG_VALUE)
    @Needs(Right.LOOK)
    byte[] drawArt(@PathVariable String id, @RequestParam int width, @RequestBody ArtDraft draft) {
        Ranges.check("width", width, 1, Renders.MAX_WIDTH);
        return renders.artDraft(reels.open(id).reel(), draft.art(), width);
    }

    /** Something that is not in the reel yet, on the canvas it might have. */
    record Draft(FrameContent content, Size canvas) {}

    /**
     * Draws what is not in the reel yet, as it would look there without cut-outs.
     *
     * @param alone without backdrop and border, too
     */
    @PostMapping(path = "/api/reels/{id}/drawings", produces = MediaType.IMAGE_PNG_VALUE)
    @Needs(Right.LOOK)
    byte[] draw(
            @PathVariable String id,
            @RequestParam int width,
            @RequestParam(defaultValue = "false") boolean alone,
            @RequestBody Draft draft) {
        Ranges.check("width", width, 1, Renders.MAX_WIDTH);
        SetCanvas canvas = new SetCanvas(draft.canvas().width(), draft.canvas().height());
        Reel reel = Edit.apply(canvas, reels.open(id).reel()).withCutouts(List.of());
        Reel bare = alone ? reel.withBackdrop(Fill.NONE).withBorder(Border.NONE) : reel;
        return renders.draft(bare, draft.content(), width);
    }

    /**
     * Takes a box on a frame as a picture of its own.
     *
     * @param box in pixels of the canvas
     */
    @PostMapping("/api/reels/{id}/frames/{drawn}/cuttings")
    @Needs(Right.LOOK)
    PictureRef cut(@PathVariable String id, @PathVariable String drawn, @RequestBody Box box) {
        return renders.cutting(id, drawn, box.bounds());
    }

    record Box(int x, int y, int width, int height) {
        Bounds bounds() {
            Ranges.check("width", width, 1, Ranges.MAX_SIDE);
            Ranges.check("height", height, 1, Ranges.MAX_SIDE);
            return new Bounds(x, y, x + width, y + height);
        }
    }

    /** The loop that looks like {@code preview}, small, for the shelf. */
    @GetMapping(path = "/api/reels/{id}/previews/{preview}.gif", produces = MediaType.IMAGE_GIF_VALUE)
    ResponseEntity<byte[]> preview(@PathVariable String id, @PathVariable String preview) {
        return ResponseEntity.ok().cacheControl(UNCHANGING).body(renders.preview(id, preview));
    }

    @GetMapping("/api/reels/{id}/rhythm")
    RhythmView rhythm(@PathVariable String id) {
        OpenReel open = reels.open(id);
        Inspections.Looked looked = sights.look(open);
        Inspection seen = looked.inspection();
        Rhythm rhythm = seen.rhythm();
        return new RhythmView(
                open.revision(),
                looked.complete(),
                seen.changes(),
                rhythm.usual(),
                rhythm.seamRatio(),
                rhythm.seam(),
                seen.notices());
    }
}
