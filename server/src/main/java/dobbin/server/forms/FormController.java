package dobbin.server.forms;

import dobbin.edit.EditRejected;
import dobbin.form.DrawnLoop;
import dobbin.form.FileName;
import dobbin.form.Form;
import dobbin.form.Forms;
import dobbin.form.Html;
import dobbin.form.Material;
import dobbin.form.SheetPlan;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.server.access.Needs;
import dobbin.server.access.Right;
import dobbin.server.data.Spool;
import dobbin.server.deliveries.Encoder;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.ReelSnapshot;
import dobbin.server.reels.Reels;
import dobbin.server.web.Attachment;
import dobbin.server.web.NotFound;
import dobbin.server.work.Budget;
import dobbin.server.work.Turns;
import dobbin.server.work.Turns.Urgency;
import dobbin.slim.Drawing;
import dobbin.slim.Progress;
import dobbin.still.PlainZip;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import org.springframework.http.MediaType;
import org.springframework.http.MediaTypeFactory;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Writes a loop in any form while it is drawn, so that it never is in memory whole. Nothing of it is kept. */
@RestController
class FormController {
    /** Of a drawn frame: itself, and what it is written from. */
    private static final int BYTES_A_PIXEL = 24;

    /** Of the frames that lie side by side on a sheet. */
    private static final int BYTES_OF_A_CELL_A_PIXEL = 4;

    private static final byte[] NO_GIF = {};

    private final Reels reels;
    private final Encoder encoder;
    private final Turns turns;
    private final Budget budget;
    private final Spool spool;

    FormController(Reels reels, Encoder encoder, Turns turns, Budget budget, Spool spool) {
        this.reels = reels;
        this.encoder = encoder;
        this.turns = turns;
        this.budget = budget;
        this.spool = spool;
    }

    /** @param html what one pastes into a page */
    record HtmlView(String html) {}

    /** The HTML that shows the loop on a page, if its file and its still lie beside the page under this name. */
    @GetMapping("/api/reels/{id}/html")
    HtmlView html(@PathVariable String id, @RequestParam String name) {
        Reel reel = reels.open(id).reel();
        String address = Html.address(FileName.safe(Ranges.checkName("name", name)));
        return new HtmlView(Html.picture(
                address + ".gif",
                address + ".still.png",
                reel.deliveredSize(),
                reel.sharing().alt()));
    }

    /**
     * @param name of the files, without their endings
     * @param frames those that are delivered, by their ids; all that play where none is named
     */
    record FormRequest(String name, Set<Integer> frames, SheetPlan sheet) {}

    /** The file of a form; those of a form with several, in a zip. */
    @PostMapping("/api/reels/{id}/forms/{form}")
    @Needs(Right.LOOK)
    void write(
            @PathVariable String id,
            @PathVariable String form,
            @RequestBody FormRequest request,
            HttpServletResponse response)
            throws IOException {
        Form wanted = Forms.byId(form).orElseThrow(() -> new NotFound("There is no form " + form + "."));
        String file = FileName.safe(Ranges.checkName("name", request.name()));
        ReelSnapshot seen = chosen(reels.open(id), request.frames());
        SheetPlan plan = request.sheet();
        DrawnLoop loop = new DrawnLoop(seen.reel(), drawing(seen));
        // Before memory is asked for here: making it asks for some itself.
        byte[] gif = wanted.needsGif() ? encoder.encode(seen, Progress.NONE).bytes() : NO_GIF;
        Material material = new Material(file, loop, () -> gif, plan, JsonMapper.shared()::writeValueAsBytes);
        long bytes = loop.size().area() * (BYTES_A_PIXEL + BYTES_OF_A_CELL_A_PIXEL * plan.columnsFor(loop.count()));
        // Whoever reads slowly holds a file on the disk, and no memory.
        Path spooled = spool.begin();
        try {
            budget.during(bytes, () -> {}, () -> {
                try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(spooled))) {
                    write(wanted, material, out);
                }
                return null;
            });
            send(
                    spooled,
                    file + (wanted.suffixes().size() == 1 ? wanted.suffixes().get(0) : ".zip"),
                    response);
        } finally {
            Spool.remove(spooled);
        }
    }

    private static ReelSnapshot chosen(OpenReel open, Set<Integer> frames) {
        Reel reel = open.reel();
        if (frames.isEmpty()) {
            if (reel.loop().isEmpty()) {
                throw new EditRejected("frames", "are missing: a loop needs at least one that is not left out");
            }
            return open.seen();
        }
        if (reel.frames().stream().noneMatch(frame -> frames.contains(frame.id()))) {
            throw new EditRejected("frames", "must name frames of this reel");
        }
        return ReelSnapshot.of(DrawnLoop.only(frames, reel));
    }

    private Drawing drawing(ReelSnapshot seen) {
        Drawing drawing = encoder.drawing(seen);
        return (reel, tracks, frame, framed) ->
                turns.call(Urgency.LATER, () -> drawing.draw(reel, tracks, frame, framed));
    }

    /** Its only file as it is, or all of them in a zip. */
    private static void write(Form form, Material material, OutputStream out) throws IOException {
        if (form.suffixes().size() == 1) {
            form.write(material, suffix -> out);
            return;
        }
        PlainZip zip = new PlainZip(out);
        form.write(material, suffix -> zip.begin(material.name() + suffix));
        zip.finish();
    }

    private static void send(Path file, String name, HttpServletResponse response) throws IOException {
        response.setContentType(MediaTypeFactory.getMediaType(name)
                .orElse(MediaType.APPLICATION_OCTET_STREAM)
                .toString());
        response.setHeader(Attachment.HEADER, Attachment.called(name));
        response.setContentLengthLong(Files.size(file));
        Files.copy(file, response.getOutputStream());
    }
}
