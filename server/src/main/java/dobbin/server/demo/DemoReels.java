package dobbin.server.demo;

import dobbin.draw.Mark;
import dobbin.edit.AddPage;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.edit.SetCanvas;
import dobbin.edit.SetDelay;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.server.Settings;
import dobbin.server.drawing.Drawings;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import dobbin.server.reels.Shelf;
import dobbin.skerry.DemoFile;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.FlipBook;
import dobbin.skerry.SkerryPoint;
import dobbin.still.UnreadablePicture;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Fills an empty shelf with the demo, where the settings ask for it. */
@Component
class DemoReels implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoReels.class);

    private final Reels reels;
    private final Shelf shelf;
    private final PictureLibrary pictures;
    private final Drawings drawings;
    private final Settings settings;

    DemoReels(Reels reels, Shelf shelf, PictureLibrary pictures, Drawings drawings, Settings settings) {
        this.reels = reels;
        this.shelf = shelf;
        this.pictures = pictures;
        this.drawings = drawings;
        this.settings = settings;
    }

    @Override
    public void run(ApplicationArguments args) throws UnreadablePicture {
        if (!settings.demo() || !shelf.isEmpty()) {
            return;
        }
        LOG.info("Drawing the demo reels, some seconds");
        List<DemoFolder> folders = new ArrayList<>(SkerryPoint.folders());
        Collections.reverse(folders);
        draw();
        for (DemoFolder folder : folders) {
            make(folder);
        }
    }

    /** Page by page, as a person draws it on the bench. */
    private void draw() {
        OpenReel reel = edited(
                reels.create(Reel.empty(FlipBook.NAME)),
                new SetCanvas(FlipBook.CANVAS.width(), FlipBook.CANVAS.height()));
        int page = 0;
        for (List<Mark> marks : FlipBook.pages()) {
            reel = edited(reel, new AddPage(page, false));
            page = reel.reel().frames().get(reel.reel().frames().size() - 1).id();
            for (Mark mark : marks) {
                reel = drawings.mark(reel.id(), List.of(page), mark);
            }
        }
        edited(reel, new SetDelay(reel.reel().frames().stream().map(Frame::id).toList(), FlipBook.DELAY_MILLIS));
    }

    private void make(DemoFolder folder) throws UnreadablePicture {
        for (DemoFile piece : folder.pieces()) {
            pictures.take(piece.bytes(), piece.name());
        }
        List<NewStill> stills = new ArrayList<>();
        for (DemoFile file : folder.files()) {
            for (NewStill still : pictures.take(file.bytes(), file.name()).stills()) {
                int delay = still.delayMillis() == 0 ? folder.delayMillis() : still.delayMillis();
                stills.add(new NewStill(still.picture(), file.name(), still.size(), delay).playing(still.plays()));
            }
        }
        OpenReel reel = edited(reels.create(Reel.empty(folder.reel())), new AddStills(stills, 0));
        for (Edit edit : folder.edits()) {
            reel = edited(reel, edit);
        }
    }

    private OpenReel edited(OpenReel reel, Edit edit) {
        return reels.edit(reel.id(), reel.revision(), edit);
    }
}
