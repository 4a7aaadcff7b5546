package dobbin.server.reels;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.document.ReelDocument;
import dobbin.document.UnreadableDocument;
import dobbin.edit.Edit;
import dobbin.edit.EditRejected;
import dobbin.lettering.OwnTypeface;
import dobbin.reel.PictureRef;
import dobbin.reel.Reel;
import dobbin.server.access.Rights;
import dobbin.server.data.DataStore;
import dobbin.server.instances.OtherInstances;
import dobbin.server.people.SignedIn;
import dobbin.server.pictures.PictureInfo;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.typefaces.TypefaceStore;
import dobbin.server.web.NotFound;
import dobbin.server.web.Refused;
import java.time.Duration;
import java.time.Instant;
import java.util.Deque;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Opens, changes, undoes. One change is one transaction: the edit and the whole document after it. */
@Service
public class Reels {
    /** The message to other instances that a reel was changed. */
    public static final String CHANGED = "changed";

    private static final int ATTEMPTS = 10;
    private static final int NEAR = 8;
    private static final int REELS_REMEMBERED = 16;

    private static final int MAX_TITLE_LENGTH = 200;
    private static final String FIRST_STEP = "Begin";
    /** A row of nudges is undone at once where each comes this soon after the one before. */
    private static final Duration IN_A_ROW = Duration.ofSeconds(1);

    private final Cache<String, Deque<ReelSnapshot>> recent =
            Caffeine.newBuilder().maximumSize(REELS_REMEMBERED).build();
    private final ReelStore store;
    private final Documents documents;
    private final Cards cards;
    private final PictureLibrary pictures;
    private final TypefaceStore typefaces;
    private final TransactionTemplate transaction;
    private final DataStore data;
    private final Rights rights;
    private final OtherInstances instances;
    private final ApplicationEventPublisher changes;

    Reels(
            ReelStore store,
            Documents documents,
            Cards cards,
            PictureLibrary pictures,
            TypefaceStore typefaces,
            TransactionTemplate transaction,
            DataStore data,
            Rights rights,
            OtherInstances instances,
            ApplicationEventPublisher changes) {
        this.rights = rights;
        this.instances = instances;
        this.store = store;
        this.documents = documents;
        this.cards = cards;
        this.pictures = pictures;
        this.typefaces = typefaces;
        this.transaction = transaction;
        this.data = data;
        this.changes = changes;
    }

    /** Event before an edit: work on the state that is about to be replaced can stop. */
    public record Changing(String id) {}

    /** Event after every edit, also after one that was rejected. */
    public record Changed(OpenReel reel) {}

    /** The new reel belongs to the person who asks. */
    public OpenReel create(Reel reel) {
        String id = UUID.randomUUID().toString();
        transaction.executeWithoutResult(status -> {
            store.insert(id, 0, cards.write(ReelSnapshot.of(reel)), SignedIn.name());
            store.insertStep(id, 0, FIRST_STEP, ReelDocument.write(reel), Instant.now(), reel.fileNames());
        });
        data.force();
        return open(id);
    }

    /**
     * @throws NotFound where there is no such reel, or it was removed
     * @throws UnreadableDocument where it is damaged; the shelf says so from then on
     */
    public OpenReel open(String id) {
        try {
            return opened(row(id));
        } catch (UnreadableDocument e) {
            store.setCard(id, null);
            throw e;
        }
    }

    /**
     * Finds something in the reel as it stands, or as it stood a few steps ago or will after redo: a browser may still ask
     * for what it saw a moment ago.
     */
    public <T> Optional<T> findNear(String id, Function<ReelSnapshot, Optional<T>> wanted) {
        ReelStore.Row row = row(id);
        Optional<T> now = wanted.apply(seen(row));
        Optional<T> replaced = now.isPresent() ? now : recently(id, wanted);
        return replaced.isPresent()
                ? replaced
                : store.near(row, NEAR).stream()
                        .map(near -> documents.read(near.serial(), () -> document(id, near.number())))
                        .map(wanted)
                        .flatMap(Optional::stream)
                        .findFirst();
    }

    /** Among what stood in the place of a step a moment ago: the earlier ones of a row of nudges. */
    private <T> Optional<T> recently(String id, Function<ReelSnapshot, Optional<T>> wanted) {
        return Optional.ofNullable(recent.getIfPresent(id)).stream()
                .flatMap(Deque::stream)
                .map(wanted)
                .flatMap(Optional::stream)
                .findFirst();
    }

    private void rememberRecent(String id, ReelSnapshot seen) {
        Deque<ReelSnapshot> all = recent.get(id, missing -> new ConcurrentLinkedDeque<>());
        all.addFirst(seen);
        while (all.size() > NEAR) {
            all.pollLast();
        }
    }

    /**
     * Makes an edit; where the reel was changed elsewhere meanwhile, on what it is now, if the edit still makes sense there.
     * One that changes nothing leaves no step, and one that goes on with the one before takes its place.
     *
     * @param base the revision the edit was made on
     * @throws StaleBase where it does not
     * @throws EditRejected where the edit makes no sense on the reel it was made on
     */
    public OpenReel edit(String id, int base, Edit edit) {
        return edit(id, base, edit, () -> {});
    }

    /**
     * Makes an edit as {@link #edit(String, int, Edit)} does.
     *
     * @param alongside done in the same transaction, when the edit is made; what it throws takes the edit back
     */
    public OpenReel edit(String id, int base, Edit edit, Runnable alongside) {
        return change(id, from -> {
            boolean made = made(id, base, edit, from);
            if (made) {
                alongside.run();
            }
            return made;
        });
    }

    private boolean made(String id, int base, Edit edit, ReelStore.Row from) {
        checkBase(base, from);
        boolean stale = from.revision() != base;
        if (stale && !edit.fitsAnyState()) {
            throw new StaleBase(opened(from));
        }
        Reel before = seen(from).reel();
        Reel after = stale ? redone(edit, before, from) : Edit.apply(edit, before);
        if (after.equals(before)) {
            return true;
        }
        checkPictures(before, after);
        checkTypefaces(before, after);
        data.needRoom(0);
        ReelSnapshot seen = ReelSnapshot.of(after);
        Optional<Edit> earlier = stale ? Optional.empty() : goneOnWith(from, edit);
        Edit whole = earlier.map(edit::joined).orElse(edit);
        ReelStore.NewStep step = new ReelStore.NewStep(
                shortened(whole.title(before)),
                documents.write(whole),
                ReelDocument.write(after),
                cards.write(seen),
                fresh(before, after));
        ReelSnapshot earlierSeen = seen(from);
        boolean stored = earlier.isPresent() ? store.replace(from, step) : store.append(from, step);
        if (stored && earlier.isPresent()) {
            rememberRecent(id, earlierSeen);
        }
        if (stored) {
            documents.remember(row(id).serial(), seen);
        }
        return stored;
    }

    /** @return the edit of the step the reel stands on, where this one goes on with it */
    private Optional<Edit> goneOnWith(ReelStore.Row from, Edit edit) {
        return from.redo() != null
                ? Optional.empty()
                : store.madeBy(from.id(), from.step())
                        .filter(made -> edit.gathersOn()
                                || Duration.between(made.at(), Instant.now())
                                                .abs()
                                                .compareTo(IN_A_ROW)
                                        < 0)
                        .flatMap(made -> documents.readEdit(made.edit()))
                        .filter(edit::continues);
    }

    private static String shortened(String title) {
        return title.length() <= MAX_TITLE_LENGTH ? title : title.substring(0, MAX_TITLE_LENGTH - 1) + "…";
    }

    private Reel redone(Edit edit, Reel before, ReelStore.Row from) {
        try {
            return Edit.apply(edit, before);
        } catch (EditRejected e) {
            throw new StaleBase(opened(from), e);
        }
    }

    public OpenReel undo(String id, int base) {
        return moveAlong(id, base, from -> {
            if (from.undo() == null) {
                throw new EditRejected("undo", "has nothing to take back");
            }
            return from.step() - 1;
        });
    }

    public OpenReel redo(String id, int base) {
        return moveAlong(id, base, from -> {
            if (from.redo() == null) {
                throw new EditRejected("redo", "has nothing to do again");
            }
            return from.step() + 1;
        });
    }

    /** Goes to any point of the history, back or forth. */
    public OpenReel goTo(String id, int base, int step) {
        return moveAlong(id, base, from -> step);
    }

    History history(String id) {
        return new History(row(id).step(), store.steps(id));
    }

    private interface Destination {
        int stepFrom(ReelStore.Row from);
    }

    /** Undo needs exactly the base revision: a person must undo what they saw. */
    private OpenReel moveAlong(String id, int base, Destination destination) {
        return change(id, from -> {
            checkBase(base, from);
            if (from.revision() != base) {
                throw new StaleBase(opened(from));
            }
            int step = destination.stepFrom(from);
            Reel there = ReelDocument.read(store.document(id, step)
                    .orElseThrow(() -> new EditRejected("step", step + " is not in the history of this reel")));
            return store.moveTo(from, step, cards.write(ReelSnapshot.of(there)));
        });
    }

    /** Nobody can have seen a revision that is yet to come. */
    private static void checkBase(int base, ReelStore.Row row) {
        if (base > row.revision()) {
            throw new EditRejected("base", "is above the revision of this reel, which is " + row.revision());
        }
    }

    private interface Step {
        /** @return false where the reel has moved on since it was read */
        boolean take(ReelStore.Row from);
    }

    private OpenReel change(String id, Step step) {
        changes.publishEvent(new Changing(id));
        try {
            OpenReel changed = attempt(id, step);
            data.force();
            changes.publishEvent(new Changed(changed));
            instances.tell(id, CHANGED, changed.revision());
            return changed;
        } catch (EditRejected | StaleBase | Refused | CancellationException e) {
            changes.publishEvent(new Changed(open(id)));
            throw e;
        }
    }

    /** Of two changes at once, the later one locks the reel and is made on the result of the other. */
    private OpenReel attempt(String id, Step step) {
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            boolean again = attempt > 0;
            OpenReel changed = transaction.execute(status -> {
                if (again) {
                    store.lock(id);
                }
                return step.take(row(id)) ? open(id) : null;
            });
            if (changed != null) {
                return changed;
            }
        }
        throw new StaleBase(open(id));
    }

    private static Set<String> fresh(Reel before, Reel after) {
        Set<String> fresh = new HashSet<>(after.fileNames());
        fresh.removeAll(before.fileNames());
        return fresh;
    }

    /** A document may only name pictures that are here, by the size they have. */
    private void checkPictures(Reel before, Reel after) {
        Set<PictureRef> fresh = new HashSet<>(after.pictures());
        fresh.removeAll(before.pictures());
        Map<String, PictureInfo> known = pictures.infos(rights.filesOfWhoIsWorkedFor(
                fresh.stream().map(PictureRef::picture).collect(Collectors.toSet())));
        for (PictureRef ref : fresh) {
            PictureInfo info = known.get(ref.picture());
            if (info == null
                    || info.width() != ref.size().width()
                    || info.height() != ref.size().height()) {
                throw new EditRejected("picture", "was not uploaded in that size: " + ref.picture());
            }
        }
    }

    private void checkTypefaces(Reel before, Reel after) {
        Set<String> fresh = after.typefaces().stream().map(OwnTypeface::file).collect(Collectors.toSet());
        before.typefaces().forEach(known -> fresh.remove(known.file()));
        if (!typefaces.known(rights.filesOfWhoIsWorkedFor(fresh)).containsAll(fresh)) {
            throw new EditRejected("own", "is a typeface file that is not here. Choose the file again");
        }
    }

    private ReelStore.Row row(String id) {
        return store.find(id).orElseThrow(() -> Rights.noReel(id));
    }

    private OpenReel opened(ReelStore.Row row) {
        return new OpenReel(row.id(), row.revision(), row.touched(), seen(row), row.undo(), row.redo());
    }

    private ReelSnapshot seen(ReelStore.Row row) {
        return documents.read(row.serial(), () -> document(row.id(), row.step()));
    }

    private byte[] document(String id, int step) {
        return store.document(id, step).orElseThrow(() -> Rights.noReel(id));
    }
}
