package dobbin.server.upkeep;

import dobbin.server.Settings;
import dobbin.server.bucket.Bucket;
import dobbin.server.data.DataStore;
import dobbin.server.deliveries.RemovedDeliveries;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.reels.Shelf;
import dobbin.server.schedule.Schedule;
import dobbin.server.typefaces.TypefaceStore;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Sweeps, once for all instances, and compacts what this one has in a file. Neither is needed for anything to be right. */
@Component
class Upkeep {
    private static final Logger LOG = LoggerFactory.getLogger(Upkeep.class);
    private static final int LOOK_SECONDS = 10;
    private static final int COMPACT_MILLIS = 4_000;
    /** A picture that came in may wait so long for a reel to name it, and a deleted delivery to be had back. */
    private static final Duration WAITING_KEPT = Duration.ofDays(1);

    private final DataStore data;
    private final Shelf shelf;
    private final PictureLibrary pictures;
    private final TypefaceStore typefaces;
    private final RemovedDeliveries deliveries;
    private final Bucket bucket;
    private final Settings settings;
    private final Schedule.Recurring sweeping;
    private long changesSeen;
    private long changesCompacted;

    Upkeep(
            DataStore data,
            Shelf shelf,
            PictureLibrary pictures,
            TypefaceStore typefaces,
            RemovedDeliveries deliveries,
            Bucket bucket,
            Settings settings,
            Schedule schedule) {
        this.bucket = bucket;
        this.data = data;
        this.shelf = shelf;
        this.pictures = pictures;
        this.typefaces = typefaces;
        this.deliveries = deliveries;
        this.settings = settings;
        this.sweeping = schedule.every("sweep", Duration.ofMinutes(10), Duration.ofDays(1), this::sweepDaily);
    }

    /** Compacts once there were changes, and then none for a while: again and again, until nothing is left to free. */
    @Scheduled(fixedDelay = LOOK_SECONDS, initialDelay = LOOK_SECONDS, timeUnit = TimeUnit.SECONDS)
    void compactWhenWorkPauses() {
        long now = data.changes();
        boolean paused = now == changesSeen;
        changesSeen = now;
        if (!paused || now == changesCompacted) {
            return;
        }
        try {
            boolean shrank = data.compact(COMPACT_MILLIS);
            changesCompacted = shrank ? changesCompacted : now;
        } catch (DataAccessException e) {
            LOG.warn("The data file could not be compacted: {}", e.getMessage());
        }
    }

    /** Reels that were removed for good leave pictures that no reel names. */
    @EventListener
    void purged(Shelf.Purged event) {
        sweeping.soon();
    }

    /** Reels and deliveries removed long ago go for good, and with them the pictures that nothing names any more. */
    private void sweepDaily() {
        sweep(Instant.now().minus(WAITING_KEPT));
    }

    /** @param came pictures that came before are swept where nothing names them; deliveries deleted before, too */
    int sweep(Instant came) {
        try {
            deliveries.purge(came);
            List<String> expired = shelf.removedBefore(Instant.now().minus(Duration.ofDays(settings.daysRemoved())));
            if (!expired.isEmpty()) {
                shelf.purge(expired);
            }
            shelf.noteNames();
            int swept = pictures.sweep(came);
            typefaces.sweep(came);
            if (bucket.isChosen()) {
                bucket.sweep(PictureLibrary.IN_BUCKET, came, pictures::placesNamed);
                bucket.sweep(RemovedDeliveries.IN_BUCKET, came, deliveries::placesNamed);
            }
            return swept;
        } catch (RuntimeException e) {
            LOG.warn("Nothing was swept", e);
            return 0;
        }
    }
}
