package dobbin.server.reels;

import dobbin.edit.Edit;
import dobbin.edit.EditRejected;
import dobbin.reel.PictureRef;
import dobbin.reel.Reel;
import dobbin.server.pictures.PictureInfo;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.web.NotFound;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Opens, changes, undoes. One change is one transaction: the edit and the whole document after it. */
@Service
public class Reels {
    private static final int ATTEMPTS = 10;
    private static final int NEAR = 8;

    private final ReelStore store;
    private final Documents documents;
    private final PictureLibrary pictures;
    private final JsonMapper json;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher changes;

    Reels(
            ReelStore store,
            Documents documents,
            PictureLibrary pictures,
            JsonMapper json,
            TransactionTemplate transaction,
            ApplicationEventPublisher changes) {
        this.store = store;
        this.documents = documents;
        this.pictures = pictures;
        this.json = json;
        this.transaction = transaction;
        this.changes = changes;
    }

    /** Told to the rest of the application before a reel changes, if it does: who works on it can make way. */
    public record Changing(String id) {}

    /** Told after a reel has changed, or has stayed as it is though it was about to change. */
    public record Changed(OpenReel reel) {}

    public OpenReel create(String name) {
        String id = UUID.randomUUID().toString();
        String document = documents.write(Reel.empty(name));
        transaction.executeWithoutResult(status -> store.insert(id, document));
        return open(id);
    }

    /** @throws NotFound where there is no such reel, or it was removed */
    public OpenReel open(String id) {
        return opened(row(id));
    }

    /**
     * Finds something in the reel as it stands, or as it stood a few steps ago or will after redo: a browser may still ask
     * for what it saw a moment ago.
     */
    public <T> Optional<T> findNear(String id, Function<Reel, Optional<T>> wanted) {
        Optional<T> now = wanted.apply(open(id).reel());
        return now.isPresent()
                ? now
                : store.documentsNear(row(id), NEAR).stream()
                        .map(documents::read)
                        .map(wanted)
                        .flatMap(Optional::stream)
                        .findFirst();
    }

    public List<OpenReel> all() {
        return store.all().stream().map(this::opened).toList();
    }

    /**
     * Makes an edit; where the reel was changed elsewhere meanwhile, on what it is now, if the edit still makes sense there.
     *
     * @param base the revision the edit was made on
     * @throws StaleBase where it does not
     * @throws EditRejected where the edit makes no sense on the reel it was made on
     */
    public OpenReel edit(String id, int base, Edit edit) {
        return change(id, from -> {
            boolean stale = from.revision() != base;
            if (stale && !edit.fitsAnyState()) {
                throw new StaleBase(opened(from));
            }
            Reel before = documents.read(from.document());
            Reel after = stale ? redone(edit, before, from) : Edit.apply(edit, before);
            checkPictures(before, after);
            return store.append(from, edit.title(before), json.writeValueAsString(edit), documents.write(after));
        });
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
        return moveAlong(id, base, from -> {
            if (!store.hasStep(id, step)) {
                throw new EditRejected("step", step + " is not in the history of this reel");
            }
            return step;
        });
    }

    History history(String id) {
        return new History(row(id).step(), store.steps(id));
    }

    /** Takes the reel off the shelf; it can be put back. */
    public void remove(String id) {
        if (!store.setRemoved(id, true)) {
            throw noReel(id);
        }
    }

    public OpenReel restore(String id) {
        store.setRemoved(id, false);
        return open(id);
    }

    private interface Destination {
        int stepFrom(ReelStore.Row from);
    }

    /** What is undone must be what the person sees, so that needs the very base. */
    private OpenReel moveAlong(String id, int base, Destination destination) {
        return change(id, from -> {
            if (from.revision() != base) {
                throw new StaleBase(opened(from));
            }
            return store.moveTo(from, destination.stepFrom(from));
        });
    }

    private interface Step {
        /** @return false where the reel has moved on since it was read */
        boolean take(ReelStore.Row from);
    }

    private OpenReel change(String id, Step step) {
        changes.publishEvent(new Changing(id));
        try {
            OpenReel changed = attempt(id, step);
            changes.publishEvent(new Changed(changed));
            return changed;
        } catch (EditRejected | StaleBase e) {
            changes.publishEvent(new Changed(open(id)));
            throw e;
        }
    }

    /** Where two changes come at once, the one that is late is made on what the other left. */
    private OpenReel attempt(String id, Step step) {
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            OpenReel changed = transaction.execute(status -> step.take(row(id)) ? open(id) : null);
            if (changed != null) {
                return changed;
            }
        }
        throw new StaleBase(open(id));
    }

    /** A document may only name pictures that are here, by the size they have. */
    private void checkPictures(Reel before, Reel after) {
        Set<PictureRef> fresh = new HashSet<>(after.pictures());
        fresh.removeAll(before.pictures());
        Map<String, PictureInfo> known =
                pictures.infos(fresh.stream().map(PictureRef::picture).collect(Collectors.toSet()));
        for (PictureRef ref : fresh) {
            PictureInfo info = known.get(ref.picture());
            if (info == null
                    || info.width() != ref.size().width()
                    || info.height() != ref.size().height()) {
                throw new EditRejected("picture", "was not uploaded in that size: " + ref.picture());
            }
        }
    }

    private ReelStore.Row row(String id) {
        return store.find(id).orElseThrow(() -> noReel(id));
    }

    private static NotFound noReel(String id) {
        return new NotFound(
                "There is no reel " + id + " here. It may have been removed; the shelf shows what there is.");
    }

    private OpenReel opened(ReelStore.Row row) {
        Reel reel = documents.read(row.document());
        return new OpenReel(row.id(), row.revision(), row.touched(), reel, row.undo(), row.redo());
    }
}
