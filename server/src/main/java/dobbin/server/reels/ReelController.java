package dobbin.server.reels;

import dobbin.edit.AddCard;
import dobbin.edit.Edit;
import dobbin.edit.SetCanvas;
import dobbin.reel.Card;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.server.Settings;
import dobbin.server.access.Needs;
import dobbin.server.access.NeedsNoReel;
import dobbin.server.access.Right;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The shelf, one reel, and what changes it. */
@RestController
class ReelController {
    private final Reels reels;
    private final Shelf shelf;
    private final Settings settings;

    ReelController(Reels reels, Shelf shelf, Settings settings) {
        this.reels = reels;
        this.shelf = shelf;
        this.settings = settings;
    }

    /** A reel that is begun with stills, which settle its canvas. */
    record NewReel(String name) {}

    /**
     * A reel that is begun from nothing, with one empty frame.
     *
     * @param width of the canvas in pixels
     */
    record EmptyReel(
            String name,
            @Min(1) @Max(Ranges.MAX_SIDE) int width,
            @Min(1) @Max(Ranges.MAX_SIDE) int height) {
        private static final int LONG_ENOUGH_TO_SEE = 100;

        Reel reel() {
            Reel sized = new SetCanvas(width, height).applyTo(Reel.empty(name));
            return new AddCard(Card.blank(""), LONG_ENOUGH_TO_SEE, 0).applyTo(sized);
        }
    }

    /** @param base the revision the edit was made on */
    record EditRequest(int base, Edit edit) {}

    record BaseRequest(int base) {}

    record StepRequest(int base, int step) {}

    /** A part of the shelf, what was touched last first. */
    @GetMapping("/api/reels")
    Shelved.Page shelf(@RequestParam(defaultValue = "0") int from, @RequestParam(defaultValue = "60") int count) {
        Ranges.check("from", from, 0, Integer.MAX_VALUE);
        Ranges.check("count", count, 1, Shelf.MOST_OF_A_PAGE);
        return shelf.page(from, count);
    }

    /** Reels that were removed and can be put back, for so many days. */
    record Removed(List<Shelved> reels, int days) {}

    @GetMapping("/api/removed")
    Removed removed() {
        return new Removed(shelf.removed(), settings.daysRemoved());
    }

    /** Removes for good all that was removed. */
    @DeleteMapping("/api/removed")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void empty() {
        shelf.purge(shelf.removed().stream().map(Shelved::id).toList());
    }

    /** Removes one for good that was removed. */
    @DeleteMapping("/api/removed/{id}")
    @Needs(Right.OWN)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void purge(@PathVariable String id) {
        shelf.purge(List.of(id));
    }

    @PostMapping("/api/reels")
    @ResponseStatus(HttpStatus.CREATED)
    ReelView create(@RequestBody NewReel wanted) {
        return ReelView.of(reels.create(Reel.empty(wanted.name())));
    }

    @NeedsNoReel
    @PostMapping("/api/reels/empty")
    @ResponseStatus(HttpStatus.CREATED)
    ReelView createEmpty(@RequestBody EmptyReel wanted) {
        return ReelView.of(reels.create(wanted.reel()));
    }

    @GetMapping("/api/reels/{id}")
    ReelView open(@PathVariable String id) {
        return ReelView.of(reels.open(id));
    }

    /** A reel of one's own that is like it now, without its past. */
    @PostMapping("/api/reels/{id}/copies")
    @Needs(Right.LOOK)
    @ResponseStatus(HttpStatus.CREATED)
    ReelView copy(@PathVariable String id) {
        return ReelView.of(reels.create(reels.open(id).reel()));
    }

    @DeleteMapping("/api/reels/{id}")
    @Needs(Right.OWN)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        shelf.remove(id);
    }

    @PostMapping("/api/reels/{id}/restore")
    @Needs(Right.OWN)
    ReelView restore(@PathVariable String id) {
        shelf.restore(id);
        return ReelView.of(reels.open(id));
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
