package dobbin.cli;

import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.gather.FileOpener;
import dobbin.raster.Raster;
import dobbin.reel.ContentName;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.skerry.DemoFile;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.SkerryPoint;
import dobbin.still.Checkpoint;
import dobbin.still.CountingOrder;
import dobbin.still.DecodeLimits;
import dobbin.still.UnreadablePicture;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** The demo reels as the application makes them, in memory. */
final class DemoLoops {
    private DemoLoops() {}

    /** A reel and what it draws from. */
    record Loop(Reel reel, Pictures pictures) {}

    static List<Loop> all() throws UnreadablePicture {
        List<Loop> loops = new ArrayList<>();
        for (DemoFolder folder : SkerryPoint.folders()) {
            loops.add(loop(folder));
        }
        return loops;
    }

    private static Loop loop(DemoFolder folder) throws UnreadablePicture {
        Map<String, Raster> rasters = new ConcurrentHashMap<>();
        for (DemoFile piece : folder.pieces()) {
            take(piece, folder, rasters);
        }
        List<NewStill> stills = new ArrayList<>();
        for (DemoFile file : inCountingOrder(folder.files())) {
            stills.addAll(take(file, folder, rasters));
        }
        Reel reel = Edit.apply(new AddStills(stills, 0), Reel.empty(folder.reel()));
        for (Edit edit : folder.edits()) {
            reel = Edit.apply(edit, reel);
        }
        return new Loop(reel, Copies.of(rasters));
    }

    private static List<DemoFile> inCountingOrder(List<DemoFile> files) {
        return files.stream()
                .sorted((a, b) -> CountingOrder.OF_NAMES.compare(a.name(), b.name()))
                .toList();
    }

    private static List<NewStill> take(DemoFile file, DemoFolder folder, Map<String, Raster> rasters)
            throws UnreadablePicture {
        List<NewStill> stills = new ArrayList<>();
        String name = ContentName.of(file.bytes());
        FileOpener.open(file.bytes(), DecodeLimits.USUAL, Checkpoint.NONE, gathered -> {
            String picture = stills.isEmpty() ? name : ContentName.of(name + stills.size());
            rasters.put(picture, gathered.raster());
            int delay = gathered.delayMillis() == 0 ? folder.delayMillis() : gathered.delayMillis();
            stills.add(new NewStill(picture, file.name(), gathered.size(), delay));
        });
        return stills;
    }
}
