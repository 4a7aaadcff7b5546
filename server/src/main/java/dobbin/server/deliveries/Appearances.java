package dobbin.server.deliveries;

import dobbin.reel.Reel;
import dobbin.server.jobs.EventHub;
import dobbin.server.jobs.Jobs;
import dobbin.server.reels.ReelSnapshot;
import dobbin.server.web.Refused;
import dobbin.server.work.Turns;
import dobbin.slim.Encoded;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.slim.Trials;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Works out how delivered files look beside what was drawn, after they were delivered: nobody waits for it. */
@Service
class Appearances {
    private static final Logger LOG = LoggerFactory.getLogger(Appearances.class);

    private final Encoder encoder;
    private final Slim slim;
    private final Turns turns;
    private final Jobs jobs;
    private final EventHub hub;
    private final DeliveryStore store;

    Appearances(Encoder encoder, Slim slim, Turns turns, Jobs jobs, EventHub hub, DeliveryStore store) {
        this.encoder = encoder;
        this.slim = slim;
        this.turns = turns;
        this.jobs = jobs;
        this.hub = hub;
        this.store = store;
    }

    /** @param seen the reel as it was when the file was made */
    void look(String reel, ReelSnapshot seen, String delivery) {
        encoder.knownEncoding(seen).ifPresent(encoded -> {
            try {
                jobs.start(
                        reel,
                        "Look at a delivery",
                        view -> {},
                        progress -> look(reel, seen, delivery, encoded, progress));
            } catch (Refused e) {
                LOG.debug("How the delivery {} looks is not worked out: too much is waiting", delivery);
            }
        });
    }

    private String look(String id, ReelSnapshot seen, String delivery, Encoded encoded, Progress progress) {
        Reel reel = seen.reel();
        Trials trials =
                new Trials(slim, encoder.admission(), reel, encoder.drawing(seen), turns.at(Turns.Urgency.LATER));
        double error = trials.trial(reel.delivery(), encoded, progress).error();
        store.setError(delivery, error);
        hub.publishEverywhere(id, "delivered", Map.of("id", delivery));
        return delivery;
    }
}
