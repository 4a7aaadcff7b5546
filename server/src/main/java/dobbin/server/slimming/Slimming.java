package dobbin.server.slimming;

import dobbin.edit.EditRejected;
import dobbin.edit.SetDelivery;
import dobbin.gif.Replay;
import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.reel.Delivery;
import dobbin.server.data.DataStore;
import dobbin.server.deliveries.Encoder;
import dobbin.server.jobs.EventHub;
import dobbin.server.jobs.Job;
import dobbin.server.jobs.Orders;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import dobbin.server.reels.StaleBase;
import dobbin.server.web.Refused;
import dobbin.server.work.Turns;
import dobbin.slim.Encoded;
import dobbin.slim.Explorer;
import dobbin.slim.Fitting;
import dobbin.slim.GivenUp;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.slim.Trial;
import dobbin.slim.Trials;
import dobbin.still.PngWriter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Tries settings on reels and keeps what came of it. */
@Service
class Slimming {
    private static final int PICTURE_WIDTH = 280;

    private final Reels reels;
    private final Encoder encoder;
    private final Slim slim;
    private final TrialStore store;
    private final Turns turns;
    private final EventHub hub;
    private final DataStore data;
    /** Files that are being looked at, by reel and name: each once however often it is asked about. */
    private final Set<String> lookedAt = ConcurrentHashMap.newKeySet();

    private final Orders.Kind<Wanted> searches;

    /**
     * A search for settings.
     *
     * @param fits whether it is for the budget, and not to explore
     * @param mayNarrow whether it may take pixels of the width, where it fits
     * @param mayThin whether it may leave out frames, where it fits
     */
    record Wanted(boolean fits, boolean mayNarrow, boolean mayThin) {}

    Slimming(
            Reels reels,
            Encoder encoder,
            Slim slim,
            TrialStore store,
            Turns turns,
            Orders orders,
            EventHub hub,
            DataStore data) {
        this.reels = reels;
        this.encoder = encoder;
        this.slim = slim;
        this.store = store;
        this.turns = turns;
        this.searches = orders.oneAtATime("search", Wanted.class, this::search);
        this.hub = hub;
        this.data = data;
    }

    List<TrialView> trials(OpenReel open) {
        return TrialView.of(store.ofReel(open.id()), open.keys().ofMaterial());
    }

    /** Keeps what the reel's file as it is set now weighs and looks like, unless that is kept; tells listeners. */
    void keep(OpenReel open, Encoded encoded) {
        String file = open.id() + ' ' + open.keys().ofDelivery();
        if (!lookedAt.add(file)) {
            return;
        }
        try {
            if (!isKept(open, open.reel().delivery())) {
                Trial trial = trials(open, List.of()).trial(open.reel().delivery(), encoded, whileSet(open));
                keep(open, trial, encoded);
            }
        } finally {
            lookedAt.remove(file);
        }
    }

    private boolean isKept(OpenReel open, Delivery delivery) {
        return known(open).stream().anyMatch(row -> row.trial().delivery().equals(delivery));
    }

    Job.View explore(OpenReel open) {
        return begin("Explore " + open.reel().name(), open, new Wanted(false, false, false));
    }

    /** The job's result is the sentence on what was given up; the settings are an edit by then. */
    Job.View fit(OpenReel open, boolean mayNarrow, boolean mayThin) {
        return begin("Fit " + open.reel().name(), open, new Wanted(true, mayNarrow, mayThin));
    }

    /** Starts a search; if one runs on this reel, returns that one. */
    private Job.View begin(String title, OpenReel open, Wanted wanted) {
        needFrames(open);
        Orders.Found<Wanted> search = searches.take(open.id(), title, wanted);
        if (search.request().fits() != wanted.fits()) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    search.request().fits()
                            ? "A budget is being fitted. Wait for it, or stop it first."
                            : "Settings are being explored. Wait for that, or stop it first.");
        }
        return search.view();
    }

    /** @return the search that is under way, if there is one */
    Optional<Orders.Found<Wanted>> underWay(String reel) {
        return searches.underWay(reel);
    }

    private String search(Orders.Order<Wanted> order, Progress progress) {
        OpenReel open = reels.open(order.reel());
        return order.request().fits() ? fitted(order, open, progress) : explored(open, progress);
    }

    private String explored(OpenReel open, Progress progress) {
        Trials trials = trials(open, known(open));
        Explorer.explore(
                trials, open.reel().budgetBytes(), trial -> keep(open, trial, trials.last(trial.delivery())), progress);
        return "";
    }

    private String fitted(Orders.Order<Wanted> order, OpenReel open, Progress progress) {
        int budget = open.reel().budgetBytes();
        Trials trials = trials(open, known(open));
        trials.whole(open.reel().delivery(), progress);
        Fitting.Result result = Fitting.fit(
                trials, budget, order.request().mayNarrow(), order.request().mayThin(), progress);
        String sentence = GivenUp.sentence(open.reel(), result, budget);
        Trial kept = result.best() == null ? result.smallest() : result.best();
        keepNew(open, kept, trials);
        if (result.best() != null) {
            take(open, result.best().delivery(), () -> order.done(sentence));
        }
        return sentence;
    }

    private void keepNew(OpenReel open, Trial trial, Trials trials) {
        if (!isKept(open, trial.delivery())) {
            keep(open, trial, trials.last(trial.delivery()));
        }
    }

    /** An edit like any other, on the reel as it was when the search began. */
    private void take(OpenReel open, Delivery delivery, Runnable alongside) {
        if (delivery.equals(open.reel().delivery())) {
            return;
        }
        try {
            reels.edit(open.id(), open.revision(), new SetDelivery(delivery), alongside);
        } catch (StaleBase | EditRejected e) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    "The settings were changed meanwhile, so they were left as they are. What was found is on the chart.");
        }
    }

    private List<TrialStore.Row> known(OpenReel open) {
        String material = open.keys().ofMaterial();
        return store.ofReel(open.id()).stream()
                .filter(row -> row.material().equals(material))
                .toList();
    }

    private Trials trials(OpenReel open, List<TrialStore.Row> known) {
        Trials trials = new Trials(
                slim, encoder.admission(), open.reel(), encoder.drawing(open.seen()), turns.at(Turns.Urgency.LATER));
        known.forEach(row -> trials.know(row.trial()));
        return trials;
    }

    private void keep(OpenReel open, Trial trial, Optional<Encoded> encoded) {
        encoded.ifPresent(it -> keep(open, trial, it));
    }

    private void keep(OpenReel open, Trial trial, Encoded encoded) {
        byte[] picture = picture(encoded, trial);
        data.needRoom(picture.length);
        TrialStore.Row row = store.insert(
                open.id(),
                open.keys().ofMaterial(),
                trial,
                encoded.size().width(),
                encoded.size().height(),
                picture);
        data.force();
        hub.publishEverywhere(open.id(), "tried", Map.of("id", row.id()));
    }

    /** The worst frame, no larger than the chart shows it. */
    private static byte[] picture(Encoded encoded, Trial trial) {
        int every = trial.delivery().framing().every();
        Raster worst = new Replay(encoded.size(), encoded.settings().palette(), encoded.stored())
                .at(trial.looks().worstFrame() / every);
        return PngWriter.bytes(
                worst.width() <= PICTURE_WIDTH
                        ? worst
                        : Resampler.resize(worst, worst.size().withWidth(PICTURE_WIDTH)));
    }

    /** Given up as soon as the file would be another one. */
    private Progress whileSet(OpenReel open) {
        return (done, total) -> {
            if (!reels.open(open.id()).keys().ofDelivery().equals(open.keys().ofDelivery())) {
                throw new CancellationException();
            }
        };
    }

    private static void needFrames(OpenReel open) {
        if (open.reel().loop().isEmpty()) {
            throw new EditRejected("frames", "are missing: a loop needs at least one that is not left out");
        }
    }
}
