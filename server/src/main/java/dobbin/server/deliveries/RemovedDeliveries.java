package dobbin.server.deliveries;

import java.time.Instant;
import org.springframework.stereotype.Component;

/** Deliveries that were deleted and can still be had back. */
@Component
public class RemovedDeliveries {
    private final DeliveryStore store;

    RemovedDeliveries(DeliveryStore store) {
        this.store = store;
    }

    /** @return how many went for good */
    public int purge(Instant removedBefore) {
        return store.purge(removedBefore);
    }
}
