package dobbin.server.plates;

import dobbin.edit.EditRejected;
import dobbin.edit.NewStill;
import dobbin.plate.Cutter;
import dobbin.plate.Cutting;
import dobbin.plate.Grid;
import dobbin.plate.Ground;
import dobbin.plate.Plate;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Ranges;
import dobbin.render.Level;
import dobbin.server.access.Rights;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.plates.PlateController.CutRequest;
import dobbin.server.plates.PlateController.Finding;
import dobbin.server.plates.PlateController.FoundView;
import dobbin.server.plates.PlateController.GridView;
import dobbin.server.plates.PlateController.Part;
import dobbin.server.work.Turns;
import dobbin.server.work.Turns.Urgency;
import dobbin.still.PngWriter;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/** Looks for drawings on all pixels of a plate as it came, and cuts them from those. */
@Service
class Plates {
    private static final double PERCENT = 100;

    private final PictureLibrary pictures;
    private final Turns turns;
    private final Rights rights;

    Plates(PictureLibrary pictures, Turns turns, Rights rights) {
        this.rights = rights;
        this.pictures = pictures;
        this.turns = turns;
    }

    byte[] picture(String picture) {
        check(picture);
        return turns.call(Urgency.NOW, () -> PngWriter.bytes(pictures.raster(picture, Level.FULL)));
    }

    FoundView grid(String picture, Finding finding) {
        return found(picture, finding, (plate, size) -> plate.grid());
    }

    FoundView cells(String picture, GridView wanted, Finding finding) {
        return found(picture, finding, (plate, size) -> {
            Grid grid = new Grid(
                    wanted.rows(),
                    wanted.columns(),
                    wanted.marginX(),
                    wanted.marginY(),
                    wanted.gutterX(),
                    wanted.gutterY());
            if (!grid.fits(size)) {
                throw new EditRejected("The grid", "leaves no room for its cells on a plate of " + size);
            }
            return grid;
        });
    }

    private interface GridOf {
        Grid on(Plate plate, Size size);
    }

    private FoundView found(String picture, Finding finding, GridOf gridOf) {
        return on(picture, raster -> {
            Plate plate = new Plate(raster, finding.tolerancePercent() / PERCENT);
            Grid grid = gridOf.on(plate, raster.size());
            return view(plate, grid, plate.cells(grid, finding.columnsFirst()));
        });
    }

    FoundView pieces(String picture, Finding finding) {
        return on(picture, raster -> {
            Plate plate = new Plate(raster, finding.tolerancePercent() / PERCENT);
            return view(plate, new Grid(1, 1, 0, 0, 0, 0), plate.pieces(finding.join(), finding.columnsFirst()));
        });
    }

    List<NewStill> cut(String picture, CutRequest wanted) {
        String name = Ranges.checkName("name", wanted.name());
        Cutting how = new Cutting(
                wanted.clears(), wanted.enclosed(), wanted.tolerancePercent() / PERCENT, wanted.centering());
        return on(picture, raster -> {
            Bounds all = Bounds.all(raster.size());
            List<Bounds> parts = wanted.parts().stream()
                    .map(part -> new Bounds(part.x(), part.y(), part.x() + part.width(), part.y() + part.height()))
                    .toList();
            if (parts.stream()
                    .anyMatch(part -> part.isEmpty() || !part.within(all).equals(part))) {
                throw new EditRejected("parts", "must lie on the plate, which is " + raster.size());
            }
            return Cutter.cut(raster, Ground.of(raster), parts, how).stream()
                    .map(pictures::keepStill)
                    .map(ref -> new NewStill(ref.picture(), name, ref.size(), 0))
                    .toList();
        });
    }

    private void check(String picture) {
        if (rights.filesOfWhoIsWorkedFor(Set.of(picture)).isEmpty()) {
            throw PictureLibrary.noPicture(picture);
        }
    }

    private <V> V on(String picture, Function<Raster, V> work) {
        check(picture);
        return pictures.whole(picture, task -> turns.call(Urgency.NOW, task), work);
    }

    private static FoundView view(Plate plate, Grid grid, List<Bounds> parts) {
        if (parts.size() > PlateController.MOST_PARTS) {
            throw new EditRejected(
                    "The plate",
                    "shows " + parts.size() + " parts, and " + PlateController.MOST_PARTS
                            + " can be cut at once. Join parts that are near one another, or raise the tolerance");
        }
        Ground ground = plate.ground();
        return new FoundView(
                ground.transparent() ? "" : String.format(Locale.ROOT, "%06x", ground.rgb()),
                new GridView(
                        grid.rows(), grid.columns(), grid.marginX(), grid.marginY(), grid.gutterX(), grid.gutterY()),
                parts.stream()
                        .map(part -> new Part(part.left(), part.top(), part.width(), part.height()))
                        .toList());
    }
}
