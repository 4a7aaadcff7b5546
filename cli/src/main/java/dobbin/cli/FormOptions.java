package dobbin.cli;

import dobbin.edit.Edit;
import dobbin.edit.EditRejected;
import dobbin.edit.SetAlt;
import dobbin.edit.SetStill;
import dobbin.form.SheetPlan;
import dobbin.reel.Reel;
import picocli.CommandLine.Option;

/** What is chosen for forms other than a GIF. */
final class FormOptions {
    @Option(
            names = "--columns",
            paramLabel = "N",
            description = "of a sheet: how many frames lie side by side (about as many as below one another)")
    private int columns = SheetPlan.EVEN;

    @Option(names = "--padding", paramLabel = "PIXELS", description = "of a sheet: bare pixels around each frame (0)")
    private int padding;

    @Option(
            names = "--alt",
            paramLabel = "TEXT",
            description = "of a page: what the loop shows, in words (nothing, or what a working file says)")
    private String alt;

    @Option(
            names = "--still",
            paramLabel = "NUMBER",
            description = "the frame that stands for the loop where nothing may move (the first, or a working file's)")
    private Integer still;

    SheetPlan sheet() {
        return new SheetPlan(columns, padding);
    }

    /** @return the reel with what was said. @throws EditRejected where there is no frame of that number */
    Reel told(Reel reel) {
        Reel described = alt == null ? reel : Edit.apply(new SetAlt(alt), reel);
        return still == null ? described : Edit.apply(new SetStill(frame(reel)), described);
    }

    private int frame(Reel reel) {
        if (still < 1 || still > reel.frames().size()) {
            throw new EditRejected(
                    "--still", "must be from 1 to " + reel.frames().size());
        }
        return reel.frames().get(still - 1).id();
    }
}
