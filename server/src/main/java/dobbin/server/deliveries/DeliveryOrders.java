package dobbin.server.deliveries;

import dobbin.document.ReelDocument;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.server.data.DataStore;
import dobbin.server.data.QuotaStore;
import dobbin.server.jobs.Job;
import dobbin.server.jobs.Orders;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.ReelSnapshot;
import dobbin.slim.Delivered;
import dobbin.slim.Progress;
import dobbin.timing.Hundredths;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Makes deliveries that were asked for, each of the reel as it was then. */
@Component
class DeliveryOrders {
    private final Orders.Kind<Wanted> kind;
    private final DeliveryStore deliveries;
    private final Encoder encoder;
    private final Appearances appearances;
    private final DataStore data;
    private final QuotaStore quota;
    private final TransactionTemplate transaction;

    /** @param document the reel as it was then, as JSON */
    record Wanted(String name, String document) {}

    DeliveryOrders(
            Orders orders,
            DeliveryStore deliveries,
            Encoder encoder,
            Appearances appearances,
            DataStore data,
            QuotaStore quota,
            TransactionTemplate transaction) {
        this.quota = quota;
        this.kind = orders.kind("delivery", Wanted.class, this::made);
        this.deliveries = deliveries;
        this.encoder = encoder;
        this.appearances = appearances;
        this.data = data;
        this.transaction = transaction;
    }

    /** @return the job, whose result is the delivery's id */
    Job.View take(OpenReel open, String name) {
        String document = new String(ReelDocument.write(open.reel()), StandardCharsets.UTF_8);
        return kind.take(open.id(), "Deliver " + name, new Wanted(name, document))
                .view();
    }

    private String made(Orders.Order<Wanted> order, Progress progress) {
        Wanted wanted = order.request();
        ReelSnapshot seen = ReelSnapshot.of(ReelDocument.read(wanted.document().getBytes(StandardCharsets.UTF_8)));
        Delivered made = encoder.encode(seen, progress);
        DeliveryStore.Entry entry = entry(freeName(order.reel(), wanted.name()), seen.reel(), made);
        data.needRoom(made.bytes().length);
        String place = deliveries.put(entry.id(), made.bytes());
        transaction.executeWithoutResult(status -> {
            order.done(entry.id());
            quota.needOn(order.reel(), made.bytes().length);
            deliveries.insert(
                    order.reel(), entry, place, made.bytes(), seen.reel().delivery());
        });
        appearances.look(order.reel(), seen, entry.id());
        return entry.id();
    }

    private static DeliveryStore.Entry entry(String name, Reel reel, Delivered made) {
        int hundredths = Arrays.stream(Hundredths.apportion(reel.deliveredDelaysMillis()))
                .sum();
        return new DeliveryStore.Entry(
                UUID.randomUUID().toString(),
                name,
                Instant.now().truncatedTo(ChronoUnit.MILLIS),
                made.size().width(),
                made.size().height(),
                made.frames(),
                made.colors(),
                reel.plays().times(),
                10 * hundredths,
                made.bytes().length,
                true,
                null);
    }

    /** @return the name, or where the reel has a delivery of that name, the name and the next free number */
    private String freeName(String reel, String name) {
        Set<String> taken =
                deliveries.ofReel(reel).stream().map(DeliveryStore.Entry::name).collect(Collectors.toSet());
        String free = name;
        for (int number = 2; taken.contains(free); number++) {
            String suffix = " " + number;
            free = name.substring(0, Math.min(name.length(), Ranges.MAX_NAME_LENGTH - suffix.length())) + suffix;
        }
        return free;
    }
}
