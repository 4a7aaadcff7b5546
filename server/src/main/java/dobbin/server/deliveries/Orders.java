package dobbin.server.deliveries;

import dobbin.document.ReelDocument;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.server.data.DataStore;
import dobbin.server.deliveries.OrderStore.Order;
import dobbin.server.jobs.EventHub;
import dobbin.server.jobs.Job;
import dobbin.server.jobs.Jobs;
import dobbin.server.people.SignedIn;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Seen;
import dobbin.server.web.Refused;
import dobbin.server.work.Whose;
import dobbin.slim.Delivered;
import dobbin.slim.Progress;
import dobbin.timing.Hundredths;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Deliveries that were asked for. Each is made once, of the reel as it was then, also where the Dobbin that began with it is killed: the
 * next to look for such takes it over.
 */
@Component
class Orders implements Jobs.Elsewhere {
    private static final Logger LOG = LoggerFactory.getLogger(Orders.class);
    private static final int LOOK_SECONDS = 5;
    /** One that ends its Dobbin each time is given up. */
    private static final int MOST_TRIES = 3;

    private final OrderStore orders;
    private final DeliveryStore deliveries;
    private final Encoder encoder;
    private final Appearances appearances;
    private final Jobs jobs;
    private final EventHub hub;
    private final DataStore data;
    private final TransactionTemplate transaction;

    private final Set<String> held = ConcurrentHashMap.newKeySet();

    Orders(
            OrderStore orders,
            DeliveryStore deliveries,
            Encoder encoder,
            Appearances appearances,
            Jobs jobs,
            EventHub hub,
            DataStore data,
            TransactionTemplate transaction) {
        this.orders = orders;
        this.deliveries = deliveries;
        this.encoder = encoder;
        this.appearances = appearances;
        this.jobs = jobs;
        this.hub = hub;
        this.data = data;
        this.transaction = transaction;
    }

    Job take(OpenReel open, String name) {
        Order order = new Order(
                UUID.randomUUID().toString(),
                open.id(),
                name,
                SignedIn.name().orElse(null),
                new String(ReelDocument.write(open.reel()), StandardCharsets.UTF_8),
                1);
        orders.insert(order);
        data.force();
        try {
            return begin(order, open);
        } catch (Refused e) {
            orders.delete(order.id());
            throw e;
        }
    }

    /** Holds on what is made here, and takes over what nobody holds any more. */
    @Scheduled(fixedDelay = LOOK_SECONDS, initialDelay = LOOK_SECONDS, timeUnit = TimeUnit.SECONDS)
    void look() {
        try {
            orders.hold(held);
            orders.left().forEach(id -> orders.take(id).ifPresent(this::takeOver));
        } catch (DataAccessException | Refused e) {
            LOG.warn("Deliveries that nobody makes any more are looked for again later: {}", e.getMessage());
        }
    }

    private void takeOver(Order order) {
        if (order.tries() > MOST_TRIES) {
            orders.delete(order.id());
            LOG.warn(
                    "A delivery of the reel {} was begun {} times and never made. It is given up",
                    order.reel(),
                    MOST_TRIES);
            return;
        }
        Seen seen = Seen.of(ReelDocument.read(order.document().getBytes(StandardCharsets.UTF_8)));
        Whose.While theirs = Whose.is(order.person() == null ? "" : order.person());
        try {
            begin(order, new OpenReel(order.reel(), 0, Instant.now(), seen, null, null));
        } finally {
            theirs.close();
        }
    }

    private Job begin(Order order, OpenReel open) {
        held.add(order.id());
        try {
            return jobs.start(
                    order.id(),
                    open.id(),
                    "Deliver " + order.name(),
                    view -> hub.publishEverywhere(open.id(), "job", view),
                    progress -> made(order, open, progress));
        } catch (Refused e) {
            held.remove(order.id());
            throw e;
        }
    }

    /** What fails here would fail elsewhere; what is stopped with its Dobbin is left for another. */
    private String made(Order order, OpenReel open, Progress progress) {
        try {
            return keep(order, open, encoder.encode(open.seen(), progress));
        } catch (CancellationException e) {
            throw e;
        } catch (RuntimeException | OutOfMemoryError | StackOverflowError e) {
            orders.delete(order.id());
            throw e;
        } finally {
            held.remove(order.id());
        }
    }

    /** Whoever stops it takes the order back, so that nobody takes it over. */
    @EventListener
    void stopped(Jobs.Stopped stopped) {
        if (orders.delete(stopped.id())) {
            data.force();
        }
    }

    @Override
    public Optional<Jobs.Found> find(String id) {
        Optional<Jobs.Found> waiting = orders.find(id)
                .map(order -> new Jobs.Found(
                        order.reel(),
                        new Job.View(id, "Deliver " + order.name(), Job.State.RUNNING, 0, 1, null, null)));
        return waiting.isPresent() ? waiting : deliveries.ofOrder(id);
    }

    private String keep(Order order, OpenReel open, Delivered made) {
        Reel reel = open.reel();
        int hundredths = Arrays.stream(Hundredths.apportion(reel.deliveredDelaysMillis()))
                .sum();
        DeliveryStore.Entry entry = new DeliveryStore.Entry(
                UUID.randomUUID().toString(),
                freeName(open.id(), order.name()),
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
        data.needRoom(made.bytes().length);
        transaction.executeWithoutResult(status -> {
            if (!orders.delete(order.id())) {
                throw new CancellationException("It was stopped, or made by another meanwhile");
            }
            deliveries.insert(open.id(), order.id(), entry, made.bytes(), reel.delivery());
        });
        data.force();
        appearances.look(open, entry.id());
        return entry.id();
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
