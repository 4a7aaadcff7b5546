package dobbin.server.deliveries;

import java.time.Instant;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Deliveries that were deleted and can still be had back, and what those that are gone leave behind. */
@Component
public class RemovedDeliveries {
    /** Prefix of their keys in the bucket. */
    public static final String IN_BUCKET = "deliveries";

    private final DeliveryStore store;

    RemovedDeliveries(DeliveryStore store) {
        this.store = store;
    }

    /** @return how many went for good */
    public int purge(Instant removedBefore) {
        return store.purge(removedBefore);
    }

    /** @return those of the places in the bucket that deliveries are in */
    public Set<String> placesNamed(Set<String> places) {
        return store.places(places);
    }
}
