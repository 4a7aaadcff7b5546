package dobbin.server.reels;

import dobbin.document.ReelDocument;
import dobbin.document.UnreadableDocument;
import dobbin.raster.Size;
import dobbin.server.access.Rights;
import dobbin.server.data.DataStore;
import dobbin.server.people.SignedIn;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** All reels as cards: what is on the shelf, what was removed and can be put back, and what goes for good. */
@Service
public class Shelf {
    private static final Pattern FILE_NAME = Pattern.compile("\"([0-9a-f]{64})\"");

    static final int MOST_OF_A_PAGE = 200;

    private final ReelStore store;
    private final NameStore names;
    private final Cards cards;
    private final TransactionTemplate transaction;
    private final DataStore data;
    private final ApplicationEventPublisher changes;

    Shelf(
            ReelStore store,
            NameStore names,
            Cards cards,
            TransactionTemplate transaction,
            DataStore data,
            ApplicationEventPublisher changes) {
        this.store = store;
        this.names = names;
        this.cards = cards;
        this.transaction = transaction;
        this.data = data;
        this.changes = changes;
    }

    /** Event: reels were removed for good. */
    public record Purged() {}

    /** @param count at most 200; @return the reels that the signed-in person may see */
    public Shelved.Page page(int from, int count) {
        Optional<String> person = SignedIn.name();
        List<Shelved> reels = store.page(from, Math.min(count, MOST_OF_A_PAGE), person).stream()
                .map(this::shelved)
                .toList();
        return new Shelved.Page(reels, store.count(person));
    }

    /** @return those that whoever asks can put back, the latest first */
    public List<Shelved> removed() {
        return store.removed(SignedIn.name()).stream().map(this::shelved).toList();
    }

    /** @return whether nobody has a reel */
    public boolean isEmpty() {
        return store.count(Optional.empty()) == 0;
    }

    /** Takes the reel off the shelf; it can be put back. */
    public void remove(String id) {
        if (!store.remove(id)) {
            throw Rights.noReel(id);
        }
        data.force();
    }

    public void restore(String id) {
        if (!store.restore(id)) {
            throw Rights.noReel(id);
        }
        data.force();
    }

    /** Removes for good: what was removed before, with its history and deliveries. */
    public void purge(List<String> ids) {
        ids.forEach(id -> transaction.executeWithoutResult(status -> store.purge(id)));
        data.force();
        changes.publishEvent(new Purged());
    }

    /** @return those that were removed before {@code when} */
    public List<String> removedBefore(Instant when) {
        return store.removedBefore(when);
    }

    /**
     * Notes what reels name that were stored before that was noted with each step.
     *
     * @throws UnreadableDocument where that cannot be told of one, so that nothing must be swept
     */
    public void noteNames() {
        for (String id : names.unnoted()) {
            transaction.executeWithoutResult(status -> {
                store.lock(id);
                names.note(id, namesOfSteps(id));
            });
        }
    }

    private Map<Integer, Set<String>> namesOfSteps(String id) {
        Map<Integer, Set<String>> ofSteps = new TreeMap<>();
        for (History.Step step : store.steps(id)) {
            Set<String> named = ofSteps.computeIfAbsent(step.number(), number -> new HashSet<>());
            store.document(id, step.number())
                    .ifPresent(document -> FILE_NAME
                            .matcher(new String(document, StandardCharsets.ISO_8859_1))
                            .results()
                            .forEach(name -> named.add(name.group(1))));
        }
        return ofSteps;
    }

    /** A card that is missing, or names things as they are not named any more, is made anew. */
    private Shelved shelved(ReelStore.CardRow row) {
        try {
            Cards.Card card = cards.read(row.card()).orElseGet(() -> renewed(row.id()));
            return new Shelved(
                    row.id(),
                    card.name(),
                    card.frames(),
                    card.millis(),
                    card.canvas(),
                    row.touched(),
                    row.removed(),
                    card.cover(),
                    card.preview(),
                    row.owner(),
                    null);
        } catch (UnreadableDocument e) {
            return new Shelved(
                    row.id(),
                    "A reel that cannot be read",
                    0,
                    0,
                    new Size(1, 1),
                    row.touched(),
                    row.removed(),
                    null,
                    null,
                    row.owner(),
                    e.getMessage());
        }
    }

    private Cards.Card renewed(String id) {
        ReelSnapshot seen = ReelSnapshot.of(ReelDocument.read(store.current(id).orElseThrow(() -> Rights.noReel(id))));
        store.setCard(id, cards.write(seen));
        return Cards.Card.of(seen);
    }
}
