package dobbin.server.slimming;

import dobbin.reel.Crop;
import dobbin.reel.Ranges;
import dobbin.server.data.DataStore;
import dobbin.server.deliveries.Encoder;
import dobbin.server.jobs.Job;
import dobbin.server.jobs.Jobs;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.ReelSnapshot;
import dobbin.server.reels.Reels;
import dobbin.server.web.NotFound;
import dobbin.slim.Appearance;
import dobbin.slim.Encoded;
import dobbin.slim.Slim;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Routes for the file as it is set, for trials of settings, and for the two searches. */
@RestController
class SlimController {
    private static final CacheControl UNCHANGING =
            CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    private final Reels reels;
    private final Encoder encoder;
    private final Slimming slimming;
    private final FilePictures pictures;
    private final TrialStore store;
    private final Jobs jobs;
    private final DataStore data;

    SlimController(
            Reels reels,
            Encoder encoder,
            Slimming slimming,
            FilePictures pictures,
            TrialStore store,
            Jobs jobs,
            DataStore data) {
        this.reels = reels;
        this.encoder = encoder;
        this.slimming = slimming;
        this.pictures = pictures;
        this.store = store;
        this.jobs = jobs;
        this.data = data;
    }

    /**
     * @param unseen visible errors up to this are not seen
     * @param seenWhenLookedFor up to this they are seen when looked for; above, they are plain to see
     */
    record TrialsView(List<TrialView> trials, double unseen, double seenWhenLookedFor) {}

    /** What a search may change besides colors, dithering and tolerance. */
    record Allowed(boolean width, boolean frames) {}

    /** @param fits whether it is for a budget, and not to explore */
    record SearchView(Job.View job, boolean fits) {}

    record TrialName(String name) {}

    /** @param crop the part that holds all there is to see, or the whole canvas where nothing can go */
    record Trimmed(Crop crop) {}

    /** Facts about the file at the current settings, once it is made. */
    @GetMapping("/api/reels/{id}/files/{file}/facts")
    FileFacts facts(@PathVariable String id, @PathVariable String file) {
        OpenReel open = asSet(id, file);
        Encoded encoded = encoded(open.seen());
        return jobs.call(() -> FileFacts.of(Slim.file(encoded, open.reel()), encoded));
    }

    /** Keeps the file as it is set now as a trial, soon: {@code tried} tells when it is there. */
    @PostMapping("/api/reels/{id}/files/{file}/trial")
    @ResponseStatus(HttpStatus.ACCEPTED)
    void keep(@PathVariable String id, @PathVariable String file) {
        OpenReel open = asSet(id, file);
        Encoded encoded = encoded(open.seen());
        jobs.start(id, "Look at " + open.reel().name(), view -> {}, progress -> {
            slimming.keep(open, encoded);
            return "";
        });
    }

    /** A frame of the file as it is set now, or was a moment ago: as the file shows it, as it was drawn, or where the two differ. */
    @GetMapping(path = "/api/reels/{id}/files/{file}/frames/{place}/{sight}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> frame(
            @PathVariable String id, @PathVariable String file, @PathVariable int place, @PathVariable String sight) {
        ReelSnapshot seen = near(id, file);
        Ranges.check("place", place, 0, seen.reel().deliveredFrames().size() - 1);
        return unchanging(pictures.frame(seen, file, encoded(seen), place, sight(sight)));
    }

    /** A piece of the picture under each dither, one below the other. */
    @GetMapping(path = "/api/reels/{id}/files/{file}/dithers.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> dithers(@PathVariable String id, @PathVariable String file) {
        return unchanging(pictures.dithers(near(id, file)));
    }

    /** All frames that play, seen together. {@code loop} only makes the address another one when they change. */
    @GetMapping(path = "/api/reels/{id}/overlays/{loop}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> overlay(@PathVariable String id, @PathVariable String loop) {
        OpenReel open = withFrames(reels.open(id));
        return unchanging(pictures.overlay(open.seen()));
    }

    @PostMapping("/api/reels/{id}/trims")
    Trimmed trim(@PathVariable String id) {
        return new Trimmed(pictures.trimmed(withFrames(reels.open(id)).seen()).orElse(Crop.WHOLE));
    }

    @GetMapping("/api/reels/{id}/trials")
    TrialsView trials(@PathVariable String id) {
        return new TrialsView(slimming.trials(reels.open(id)), Appearance.UNSEEN, Appearance.SEEN_WHEN_LOOKED_FOR);
    }

    @GetMapping(path = "/api/reels/{id}/trials/{trial}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> picture(@PathVariable String id, @PathVariable String trial) {
        return unchanging(store.picture(id, trial).orElseThrow(() -> notThere(trial)));
    }

    /** Names a trial; an empty name takes it away. */
    @PutMapping("/api/reels/{id}/trials/{trial}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void name(@PathVariable String id, @PathVariable String trial, @RequestBody TrialName wanted) {
        String name = wanted.name() == null || wanted.name().isBlank() ? "" : Ranges.checkName("name", wanted.name());
        if (!store.name(reels.open(id).id(), trial, name)) {
            throw notThere(trial);
        }
        data.force();
    }

    @DeleteMapping("/api/reels/{id}/trials/{trial}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(@PathVariable String id, @PathVariable String trial) {
        if (!store.delete(reels.open(id).id(), trial)) {
            throw notThere(trial);
        }
        data.force();
    }

    /** Tries a spread of settings; each is told as the event {@code tried}. */
    @PostMapping("/api/reels/{id}/explorations")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Job.View explore(@PathVariable String id) {
        return slimming.explore(reels.open(id));
    }

    /** Finds the best-looking settings under the budget and takes them. */
    @PostMapping("/api/reels/{id}/fittings")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Job.View fit(@PathVariable String id, @RequestBody Allowed may) {
        return slimming.fit(reels.open(id), may.width(), may.frames());
    }

    /** The running search of this reel, for a page opened while it runs; empty if none runs. */
    @GetMapping("/api/reels/{id}/searches")
    List<SearchView> searches(@PathVariable String id) {
        return slimming.underWay(reels.open(id).id()).stream()
                .map(search -> new SearchView(search.view(), search.request().fits()))
                .toList();
    }

    private OpenReel asSet(String id, String file) {
        OpenReel open = reels.open(id);
        if (!open.keys().ofDelivery().equals(file) || open.reel().loop().isEmpty()) {
            throw new NotFound("This reel would be delivered differently by now.");
        }
        return open;
    }

    /** A browser may still ask for what was set a moment ago. */
    private ReelSnapshot near(String id, String file) {
        return reels.findNear(
                        id,
                        seen -> Optional.of(seen)
                                .filter(it -> it.keys().ofDelivery().equals(file)
                                        && !it.reel().loop().isEmpty()))
                .orElseThrow(() -> new NotFound("This reel would be delivered differently by now."));
    }

    private static OpenReel withFrames(OpenReel open) {
        if (open.reel().loop().isEmpty()) {
            throw new NotFound("This reel has no frames that play.");
        }
        return open;
    }

    private Encoded encoded(ReelSnapshot seen) {
        return encoder.knownEncoding(seen)
                .orElseThrow(() -> new NotFound("This file is not made yet. Its weight says how far it is."));
    }

    private static FilePictures.Sight sight(String name) {
        return switch (name) {
            case "delivered" -> FilePictures.Sight.DELIVERED;
            case "drawn" -> FilePictures.Sight.DRAWN;
            case "heat" -> FilePictures.Sight.HEAT;
            default -> throw new NotFound("A frame is delivered, drawn or heat, not " + name + ".");
        };
    }

    private static ResponseEntity<byte[]> unchanging(byte[] picture) {
        return ResponseEntity.ok().cacheControl(UNCHANGING).body(picture);
    }

    private static NotFound notThere(String trial) {
        return new NotFound("There is no trial " + trial + " of this reel.");
    }
}
