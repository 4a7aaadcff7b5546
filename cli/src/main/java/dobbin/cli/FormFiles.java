package dobbin.cli;

import dobbin.edit.EditRejected;
import dobbin.form.DrawnLoop;
import dobbin.form.Form;
import dobbin.form.Forms;
import dobbin.form.Material;
import dobbin.form.SheetPlan;
import dobbin.reel.OutOfRange;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;

/** The files of a form, by the name of its main one: all of them whole, or none. */
final class FormFiles {
    private final Form form;
    private final String stem;
    private final List<OutFile> files;

    private FormFiles(Form form, String stem, List<OutFile> files) {
        this.form = form;
        this.stem = stem;
        this.files = files;
    }

    /** The line that is printed. @param bytes of all files */
    record Made(int frames, int width, int height, long bytes) {}

    /** @throws EditRejected where the name means no form, or a file cannot be written there */
    static FormFiles of(Path out) throws IOException {
        Form form = Forms.byName(out.toString())
                .orElseThrow(() -> new EditRejected(out.toString(), "must end in " + endings()));
        String name = out.getFileName().toString();
        String stem = name.substring(0, name.length() - form.suffixes().get(0).length());
        List<OutFile> files = new ArrayList<>();
        files.add(OutFile.of(out));
        for (String suffix : form.suffixes().subList(1, form.suffixes().size())) {
            files.add(OutFile.of(out.resolveSibling(stem + suffix)));
        }
        return new FormFiles(form, stem, files);
    }

    private static String endings() {
        List<String> endings =
                Forms.ALL.stream().map(each -> each.suffixes().get(0)).toList();
        return endings.subList(0, endings.size() - 1).stream().collect(Collectors.joining(", ")) + " or "
                + endings.get(endings.size() - 1);
    }

    boolean areGif() {
        return form.id().equals("gif");
    }

    /** @return whether one of them is a GIF or holds one, so that its settings count */
    boolean holdGif() {
        return form.needsGif();
    }

    /** @return the main one */
    OutFile main() {
        return files.get(0);
    }

    /** @return whether {@code file} is one of those that are written */
    boolean have(Path file) throws IOException {
        for (OutFile each : files) {
            if (each.is(file)) {
                return true;
            }
        }
        return false;
    }

    Made write(Reel reel, Pictures pictures, SheetPlan plan) throws IOException {
        DrawnLoop loop = new DrawnLoop(reel, (it, tracks, frame, framed) -> framed.draw(it, tracks, frame, pictures));
        Material material = new Material(
                stem,
                loop,
                () -> new Slim(FrameThreads.ALL)
                        .deliver(reel, pictures, Progress.NONE)
                        .bytes(),
                plan,
                JsonMapper.shared()::writeValueAsBytes);
        List<OutFile.Part> parts = new ArrayList<>();
        try {
            form.write(material, suffix -> {
                OutFile.Part part = files.get(form.suffixes().indexOf(suffix)).begin();
                parts.add(part);
                return part.out();
            });
            long bytes = 0;
            for (OutFile.Part part : parts) {
                bytes += part.keep();
            }
            return new Made(loop.count(), loop.size().width(), loop.size().height(), bytes);
        } catch (OutOfRange e) {
            throw new EditRejected(e.field(), e.getMessage());
        } finally {
            for (OutFile.Part part : parts) {
                part.close();
            }
        }
    }
}
