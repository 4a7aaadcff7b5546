package dobbin.document;

import dobbin.lettering.OwnTypeface;
import dobbin.reel.PictureRef;
import dobbin.reel.Reel;
import dobbin.still.PlainZip;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Writes working files, as docs/file-format.md tells. Equal works become equal bytes. */
public final class WorkWriter {
    private final Work work;
    private final PlainZip zip;
    private final Set<String> pictures = new TreeSet<>();
    private final Set<String> typefaces = new TreeSet<>();

    private WorkWriter(Work work, PlainZip zip) {
        this.work = work;
        this.zip = zip;
    }

    /** What {@code history.json} holds. */
    record Steps(int current, List<Work.Step> steps) {}

    /** @param out receives the file and stays open */
    public static void write(Work work, OutputStream out) throws IOException {
        PlainZip zip = new PlainZip(out);
        new WorkWriter(work, zip).writeParts();
        zip.finish();
    }

    private void writeParts() throws IOException {
        write(WorkParts.REEL, work.reel());
        Optional<Work.Past> past = work.past();
        if (past.isPresent()) {
            write(past.get());
        }
        for (String name : pictures) {
            byte[] file = work.picture(name);
            zip.stored(WorkParts.picture(name, file), file);
        }
        for (String name : typefaces) {
            byte[] file = work.typeface(name);
            zip.packed(WorkParts.typeface(name, file), file);
        }
    }

    private void write(Work.Past past) throws IOException {
        zip.packed(WorkParts.HISTORY, ReelDocument.forPeople(new Steps(past.current(), past.steps())));
        for (int step = 0; step < past.steps().size(); step++) {
            write(WorkParts.step(step), past.reel(step));
        }
    }

    private void write(String part, Reel reel) throws IOException {
        reel.pictures().stream().map(PictureRef::picture).forEach(pictures::add);
        reel.typefaces().stream().map(OwnTypeface::file).forEach(typefaces::add);
        zip.packed(part, ReelDocument.writeForPeople(reel));
    }
}
