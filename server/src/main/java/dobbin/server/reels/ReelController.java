package dobbin.server.reels;

import dobbin.edit.Edit;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Looks;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The shelf, one reel, and what changes it. */
@RestController
class ReelController {
    private final Reels reels;

    ReelController(Reels reels) {
        this.reels = reels;
    }

    record NewReel(String name) {}

    /** @param base the revision the edit was made on */
    record EditRequest(int base, Edit edit) {}

    record BaseRequest(int base) {}

    record StepRequest(int base, int step) {}

    /**
     * A reel on the shelf.
     *
     * @param cover names what the frame in the middle looks like, or null where there is none
     * @param frames that play, and {@code millis} how long
     * @param preview names what the whole loop looks like, or null where no frames play
     */
    record ReelCard(
            String id,
            String name,
            int frames,
            int millis,
            Size canvas,
            Instant touched,
            @Schema(types = {"string", "null"}) String cover,
            @Schema(types = {"string", "null"}) String preview) {

        static ReelCard of(OpenReel open) {
            Reel reel = open.reel();
            List<Frame> loop = reel.loop();
            boolean empty = loop.isEmpty();
            return new ReelCard(
                    open.id(),
                    reel.name(),
                    loop.size(),
                    Arrays.stream(reel.loopDelaysMillis()).sum(),
                    reel.canvas(),
                    open.touched(),
                    empty ? null : Looks.of(reel, loop.get(loop.size() / 2)),
                    empty ? null : Looks.ofLoop(reel));
        }
    }

    @GetMapping("/api/reels")
    List<ReelCard> shelf() {
        return reels.all().stream().map(ReelCard::of).toList();
    }

    @PostMapping("/api/reels")
    @ResponseStatus(HttpStatus.CREATED)
    ReelView create(@RequestBody NewReel wanted) {
        return ReelView.of(reels.create(wanted.name()));
    }

    @GetMapping("/api/reels/{id}")
    ReelView open(@PathVariable String id) {
        return ReelView.of(reels.open(id));
    }

    @DeleteMapping("/api/reels/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        reels.remove(id);
    }

    @PostMapping("/api/reels/{id}/restore")
    ReelView restore(@PathVariable String id) {
        return ReelView.of(reels.restore(id));
    }

    @PostMapping("/api/reels/{id}/edits")
    ReelView edit(@PathVariable String id, @RequestBody EditRequest request) {
        return ReelView.of(reels.edit(id, request.base(), request.edit()));
    }

    @PostMapping("/api/reels/{id}/undo")
    ReelView undo(@PathVariable String id, @RequestBody BaseRequest request) {
        return ReelView.of(reels.undo(id, request.base()));
    }

    @PostMapping("/api/reels/{id}/redo")
    ReelView redo(@PathVariable String id, @RequestBody BaseRequest request) {
        return ReelView.of(reels.redo(id, request.base()));
    }

    @GetMapping("/api/reels/{id}/history")
    History history(@PathVariable String id) {
        return reels.history(id);
    }

    /** Goes to any step of the history. */
    @PostMapping("/api/reels/{id}/step")
    ReelView goTo(@PathVariable String id, @RequestBody StepRequest request) {
        return ReelView.of(reels.goTo(id, request.base(), request.step()));
    }

    /** The current document comes along, so that nobody has to ask again. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> stale(StaleBase e) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
        problem.setTitle("Changed elsewhere");
        problem.setProperty("current", ReelView.of(e.current()));
        return ResponseEntity.of(problem).build();
    }
}
