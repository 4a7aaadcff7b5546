package dobbin.server.demo;

import dobbin.server.web.NotFound;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Files for whoever has none at hand and wants to try what can be done with them. */
@RestController
class TryController {
    /** Routes for the example files on an empty shelf. */
    enum Kind {
        BURST,
        PLATE,
        CLIP
    }

    private final Map<Kind, List<DemoFile>> drawn = new EnumMap<>(Kind.class);

    /** @return the names of the files, in the order they play; of a clip, its pictures, 20 a second */
    @GetMapping("/api/tries/{kind}")
    List<String> names(@PathVariable Kind kind) {
        return files(kind).stream().map(DemoFile::name).toList();
    }

    /** @param place of the file, from 0 */
    @GetMapping("/api/tries/{kind}/{place}")
    ResponseEntity<byte[]> file(@PathVariable Kind kind, @PathVariable int place) {
        List<DemoFile> files = files(kind);
        if (place < 0 || place >= files.size()) {
            throw new NotFound("There are only " + files.size() + " files to try.");
        }
        DemoFile file = files.get(place);
        return ResponseEntity.ok()
                .contentType(file.name().endsWith(".png") ? MediaType.IMAGE_PNG : MediaType.IMAGE_JPEG)
                .body(file.bytes());
    }

    /** They are drawn when first asked for, and then remembered: 2 MB in all. */
    private synchronized List<DemoFile> files(Kind kind) {
        return drawn.computeIfAbsent(kind, it -> switch (it) {
            case BURST -> SkerryPoint.handHeld();
            case PLATE -> List.of(SkerryPoint.gullPlate());
            case CLIP -> SkerryPoint.gullClip();
        });
    }
}
