package dobbin.slim;

import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.raster.Raster;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import java.util.ArrayList;
import java.util.List;

/** Loops of rasters for tests. */
final class Loops {
    private Loops() {}

    static Reel reel(List<Raster> rasters, int... delays) {
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < rasters.size(); i++) {
            int delay = delays.length == 0 ? 40 : delays[i];
            stills.add(new NewStill(
                    String.format("%064x", i), "Still " + i, rasters.get(i).size(), delay));
        }
        return Edit.apply(new AddStills(stills, 0), Reel.empty("Slim"));
    }

    static Pictures pictures(List<Raster> rasters) {
        return (name, level) -> level.of(rasters.get(Integer.parseInt(name.substring(56), 16)));
    }

    static Trials trials(Reel reel, List<Raster> rasters) {
        KeptLoop kept = new KeptLoop(pictures(rasters));
        return new Trials(new Slim(Runnable::run, Stages.UNTOLD, kept), reel, kept, Runnable::run);
    }
}
