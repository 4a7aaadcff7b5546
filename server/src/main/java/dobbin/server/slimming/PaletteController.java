package dobbin.server.slimming;

import dobbin.edit.EditRejected;
import dobbin.gather.PaletteFile;
import dobbin.palette.ColorChoice;
import dobbin.palette.PaletteText;
import dobbin.reel.Coloring;
import dobbin.reel.Ranges;
import dobbin.server.data.DataStore;
import dobbin.server.people.SignedIn;
import dobbin.server.slimming.PaletteStore.NamedPalette;
import dobbin.server.web.NotFound;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Palettes with names, and palettes as files. */
@RestController
class PaletteController {
    private final PaletteStore store;
    private final DataStore data;

    PaletteController(PaletteStore store, DataStore data) {
        this.store = store;
        this.data = data;
    }

    /** @param colors six hexadecimal digits each, 1 to 256 */
    record NewPalette(String name, List<String> colors) {}

    /** The colors that a file holds. */
    record ReadPalette(List<String> colors) {}

    @GetMapping("/api/palettes")
    List<NamedPalette> all() {
        return store.of(SignedIn.name());
    }

    @PostMapping("/api/palettes")
    @ResponseStatus(HttpStatus.CREATED)
    NamedPalette name(@RequestBody NewPalette wanted) {
        String name = Ranges.checkName("name", wanted.name());
        Coloring coloring = new Coloring(ColorChoice.OWN, wanted.colors());
        NamedPalette palette = store.insert(name, coloring.own(), SignedIn.name());
        data.force();
        return palette;
    }

    @DeleteMapping("/api/palettes/{palette}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable String palette) {
        if (!store.delete(palette, SignedIn.name())) {
            throw notThere(palette);
        }
        data.force();
    }

    /** Reads a palette without keeping it. The body is the file as it is: a text of CSS colors, or a strip of pixels. */
    @PostMapping(path = "/api/palettes/read", consumes = "application/octet-stream")
    ReadPalette read(@RequestParam String name, HttpServletRequest request) throws IOException {
        byte[] file = request.getInputStream().readNBytes(PaletteFile.MOST_BYTES + 1);
        try {
            return new ReadPalette(PaletteFile.read(file).stream()
                    .map(color -> String.format(Locale.ROOT, "%06x", color))
                    .toList());
        } catch (PaletteText.NoPalette e) {
            throw new EditRejected("“" + name + "”", e.getMessage(), e);
        }
    }

    /** A PNG strip, one pixel a color. */
    @PostMapping(path = "/api/palettes/strip", produces = MediaType.IMAGE_PNG_VALUE)
    byte[] strip(@RequestBody ReadPalette palette) {
        return PaletteFile.strip(rgb(palette));
    }

    /** CSS colors, one a line. */
    @PostMapping(path = "/api/palettes/text", produces = MediaType.TEXT_PLAIN_VALUE)
    String text(@RequestBody ReadPalette palette) {
        return PaletteText.write(rgb(palette));
    }

    private static int[] rgb(ReadPalette palette) {
        return new Coloring(ColorChoice.OWN, palette.colors())
                .ownRgb().stream().mapToInt(Integer::intValue).toArray();
    }

    private static NotFound notThere(String palette) {
        return new NotFound("There is no palette " + palette + ".");
    }
}
