package dobbin.server.plates;

import dobbin.edit.NewStill;
import dobbin.plate.Centering;
import dobbin.reel.Ranges;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Finds the drawings on a picture that is kept here, and cuts them apart. */
@RestController
class PlateController {
    static final int MOST_PARTS = 500;
    private static final CacheControl UNCHANGING =
            CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    private final Plates plates;

    PlateController(Plates plates) {
        this.plates = plates;
    }

    /** How drawings are told from what they lie on, and how they are put in order. */
    record Finding(
            @Min(0) @Max(100) int tolerancePercent,
            @Min(0) @Max(1000) int join,
            boolean columnsFirst) {
        Finding {
            Ranges.check(Finding.class, "tolerancePercent", tolerancePercent);
            Ranges.check(Finding.class, "join", join);
        }
    }

    /** Cells of one size, in pixels of the plate. */
    record GridView(
            @Min(1) @Max(100) int rows,
            @Min(1) @Max(100) int columns,
            @Min(0) @Max(Ranges.MAX_SIDE) int marginX,
            @Min(0) @Max(Ranges.MAX_SIDE) int marginY,
            @Min(0) @Max(Ranges.MAX_SIDE) int gutterX,
            @Min(0) @Max(Ranges.MAX_SIDE) int gutterY) {
        GridView {
            Ranges.check(GridView.class, "rows", rows);
            Ranges.check(GridView.class, "columns", columns);
            Ranges.check(GridView.class, "marginX", marginX);
            Ranges.check(GridView.class, "marginY", marginY);
            Ranges.check(GridView.class, "gutterX", gutterX);
            Ranges.check(GridView.class, "gutterY", gutterY);
        }
    }

    /** Where a drawing lies on the plate, in pixels. */
    record Part(int x, int y, int width, int height) {}

    /** @param ground its color, six hexadecimal digits, or empty where it is transparent */
    record FoundView(String ground, GridView grid, List<Part> parts) {}

    record CutRequest(
            String name,

            @jakarta.validation.constraints.Size(min = 1, max = MOST_PARTS)
            List<Part> parts,

            @Min(0) @Max(100) int tolerancePercent,

            boolean clears,
            boolean enclosed,
            Centering centering) {
        CutRequest {
            Ranges.check(CutRequest.class, "parts", parts.size());
            Ranges.check(CutRequest.class, "tolerancePercent", tolerancePercent);
        }
    }

    /** @param stills ready to be added: what the edit {@code addStills} takes */
    record CutView(List<NewStill> stills) {}

    /** The plate, no larger than pictures are worked on. */
    @GetMapping(path = "/api/plates/{picture}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> show(@PathVariable String picture) {
        return ResponseEntity.ok().cacheControl(UNCHANGING).body(plates.picture(picture));
    }

    /** @return the grid the drawings seem to lie in, and the parts of it that hold any; one cell where there is none */
    @PostMapping("/api/plates/{picture}/grid")
    FoundView grid(@PathVariable String picture, @RequestBody Finding finding) {
        return plates.grid(picture, finding);
    }

    /** @return the cells of a grid that something is drawn in */
    @PostMapping("/api/plates/{picture}/cells")
    FoundView cells(@PathVariable String picture, @RequestBody CellsRequest wanted) {
        return plates.cells(picture, wanted.grid(), wanted.finding());
    }

    record CellsRequest(GridView grid, Finding finding) {}

    /** @return the boxes around the drawings */
    @PostMapping("/api/plates/{picture}/pieces")
    FoundView pieces(@PathVariable String picture, @RequestBody Finding finding) {
        return plates.pieces(picture, finding);
    }

    /** Cuts parts from the plate, in their order: each a picture that is kept. */
    @PostMapping("/api/plates/{picture}/cut")
    CutView cut(@PathVariable String picture, @RequestBody CutRequest wanted) {
        return new CutView(plates.cut(picture, wanted));
    }
}
