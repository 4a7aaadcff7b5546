package dobbin.document;

import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.reel.ContentName;
import dobbin.reel.Reel;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A reel and its pictures in memory, with each edit as a step of its past. */
final class MemoryWork implements Work {
    private static final Instant MORNING = Instant.parse("2026-03-01T07:30:00.250Z");

    private final List<Reel> reels = new ArrayList<>();
    private final List<Step> steps = new ArrayList<>();
    private final Map<String, byte[]> files = new HashMap<>();

    private boolean withPast = true;

    static MemoryWork evening() {
        return new MemoryWork(SkerryPoint.crossing());
    }

    private MemoryWork(DemoFolder folder) {
        add(Reel.empty("The evening crossing"), "Begin");
        List<NewStill> stills = new ArrayList<>();
        folder.files().forEach(file -> stills.add(still(file.name(), file.bytes())));
        folder.pieces().forEach(piece -> still(piece.name(), piece.bytes()));
        edit(new AddStills(stills, 0));
        folder.edits().forEach(this::edit);
    }

    private NewStill still(String name, byte[] file) {
        try {
            String id = ContentName.of(file);
            files.put(id, file);
            return new NewStill(
                    id, name, StillReader.head(file, DecodeLimits.USUAL).size(), 0);
        } catch (UnreadablePicture e) {
            throw new IllegalStateException(e);
        }
    }

    private void edit(Edit edit) {
        Reel before = reel();
        add(Edit.apply(edit, before), edit.title(before));
    }

    private void add(Reel reel, String title) {
        steps.add(new Step(title, MORNING.plusMillis(1_001L * steps.size())));
        reels.add(reel);
    }

    MemoryWork withoutPast() {
        withPast = false;
        return this;
    }

    @Override
    public Reel reel() {
        return reels.get(reels.size() - 1);
    }

    @Override
    public Optional<Past> past() {
        return withPast ? Optional.of(new AllSteps()) : Optional.empty();
    }

    @Override
    public byte[] picture(String name) {
        return files.get(name);
    }

    @Override
    public byte[] typeface(String name) {
        throw new IllegalStateException("No words here are in a typeface that was brought");
    }

    private final class AllSteps implements Past {
        @Override
        public int current() {
            return reels.size() - 1;
        }

        @Override
        public List<Step> steps() {
            return steps;
        }

        @Override
        public Reel reel(int step) {
            return reels.get(step);
        }
    }
}
