package dobbin.server.deliveries;

import dobbin.edit.EditRejected;
import dobbin.form.FileName;
import dobbin.inspect.Notice;
import dobbin.inspect.PageCheck;
import dobbin.reel.Delivery;
import dobbin.reel.Ranges;
import dobbin.server.access.Presence;
import dobbin.server.access.Right;
import dobbin.server.access.Rights;
import dobbin.server.data.DataStore;
import dobbin.server.jobs.EventHub;
import dobbin.server.jobs.Job;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.ReelSnapshot;
import dobbin.server.reels.Reels;
import dobbin.server.web.ClientAddress;
import dobbin.server.web.NotFound;
import dobbin.server.work.Requester;
import dobbin.server.work.Turns;
import dobbin.server.work.Turns.Urgency;
import dobbin.slim.Delivered;
import dobbin.slim.Drawing;
import dobbin.slim.Framed;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Weight, deliveries, and the stream of what happens to a reel. */
@RestController
class DeliveryController {
    private static final CacheControl UNCHANGING =
            CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable();

    private final Reels reels;
    private final Encoder encoder;
    private final Weights weights;
    private final DeliveryStore store;
    private final Turns turns;
    private final DeliveryOrders orders;
    private final EventHub hub;
    private final DataStore data;
    private final Rights rights;
    private final Presence presence;

    DeliveryController(
            Reels reels,
            Encoder encoder,
            Weights weights,
            DeliveryStore store,
            Turns turns,
            DeliveryOrders orders,
            EventHub hub,
            DataStore data,
            Rights rights,
            Presence presence) {
        this.presence = presence;
        this.rights = rights;
        this.data = data;
        this.reels = reels;
        this.encoder = encoder;
        this.weights = weights;
        this.store = store;
        this.turns = turns;
        this.orders = orders;
        this.hub = hub;
    }

    record NewDelivery(String name) {}

    /** Events: {@code changed} with a revision, {@code weight}, {@code delivered} when more is known of a delivery, {@code access} when others may do more or less with it, and {@code job} for what was started on this reel. */
    @GetMapping(path = "/api/reels/{id}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter listen(@PathVariable String id, HttpServletRequest request, HttpServletResponse response) {
        reels.open(id);
        response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noStore().getHeaderValue());
        String whose = Requester.now().isEmpty() ? ClientAddress.of(request) : Requester.now();
        return hub.listen(id, whose, presence.of(request, id));
    }

    /** @param again whether to try again what failed */
    @GetMapping("/api/reels/{id}/weight")
    Weights.WeightView weight(@PathVariable String id, @RequestParam(defaultValue = "false") boolean again) {
        if (again) {
            weights.forgetFailure(id);
        }
        return weights.weigh(reels.open(id));
    }

    /** The file as it would be delivered now, where it is still the one that was weighed. */
    @GetMapping(path = "/api/reels/{id}/files/{file}.gif", produces = MediaType.IMAGE_GIF_VALUE)
    ResponseEntity<byte[]> now(@PathVariable String id, @PathVariable String file) {
        OpenReel open = reels.open(id);
        if (!open.keys().ofDelivery().equals(file) || open.reel().loop().isEmpty()) {
            throw new NotFound("This reel would be delivered differently by now.");
        }
        byte[] known = encoder.known(open.seen())
                .map(Delivered::bytes)
                .orElseThrow(() -> new NotFound("This file is not made yet. Its weight says how far it is."));
        return ResponseEntity.ok().cacheControl(UNCHANGING).body(known);
    }

    /**
     * What the file's edges will look like on a page.
     *
     * @param color of the page, six hexadecimal digits
     */
    @GetMapping("/api/reels/{id}/pages/{color}/notices")
    List<Notice> onPage(@PathVariable String id, @PathVariable String color) {
        Ranges.checkColor("color", color);
        ReelSnapshot seen = reels.open(id).seen();
        Drawing drawing = encoder.drawing(seen);
        Framed framed = Framed.of(seen.reel());
        return PageCheck.of(
                        seen.reel(),
                        Integer.parseInt(color, 16),
                        frame -> turns.call(
                                Urgency.LATER,
                                () -> drawing.draw(seen.reel(), seen.keys().tracks(), frame, framed)))
                .stream()
                .toList();
    }

    @GetMapping("/api/reels/{id}/deliveries")
    List<DeliveryStore.Entry> list(@PathVariable String id) {
        return store.ofReel(reels.open(id).id());
    }

    @PostMapping("/api/reels/{id}/deliveries")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Job.View deliver(@PathVariable String id, @RequestBody NewDelivery wanted) {
        String name = Ranges.checkName("name", wanted.name());
        OpenReel open = reels.open(id);
        if (open.reel().loop().isEmpty()) {
            throw new EditRejected("frames", "are missing: a loop needs at least one that is not left out");
        }
        return orders.take(open, name);
    }

    /** The file itself; it never changes. With {@code download} the browser saves it under its name. */
    @GetMapping(path = "/api/deliveries/{delivery}.gif", produces = MediaType.IMAGE_GIF_VALUE)
    ResponseEntity<Resource> file(@PathVariable String delivery, @RequestParam(defaultValue = "false") boolean download)
            throws IOException {
        DeliveredFile file = store.file(delivery)
                .filter(found -> rights.ofWhoAsks(found.reel()) != Right.NOTHING)
                .orElseThrow(() -> new NotFound("There is no delivery " + delivery + "."));
        ContentDisposition disposition = (download ? ContentDisposition.attachment() : ContentDisposition.inline())
                .filename(FileName.safe(file.name()) + ".gif", StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .cacheControl(UNCHANGING)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .contentLength(file.size())
                .body(new InputStreamResource(file.source().open()));
    }

    /** With which it was made, to be used again. */
    @GetMapping("/api/reels/{id}/deliveries/{delivery}/settings")
    Delivery settings(@PathVariable String id, @PathVariable String delivery) {
        return store.settings(reels.open(id).id(), delivery)
                .orElseThrow(() -> new NotFound("The settings of this delivery are not known."));
    }

    /** For a day it can be had back. */
    @DeleteMapping("/api/reels/{id}/deliveries/{delivery}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable String id, @PathVariable String delivery) {
        if (!store.remove(reels.open(id).id(), delivery, Instant.now())) {
            throw new NotFound("There is no delivery " + delivery + " of this reel.");
        }
        data.force();
    }

    @PostMapping("/api/reels/{id}/deliveries/{delivery}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@PathVariable String id, @PathVariable String delivery) {
        if (!store.restore(reels.open(id).id(), delivery)) {
            throw new NotFound("There is no delivery " + delivery + " of this reel that was deleted in the last day.");
        }
        data.force();
    }
}
