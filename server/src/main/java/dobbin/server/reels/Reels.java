package dobbin.server.reels;

import dobbin.edit.Edit;
import dobbin.edit.EditRejected;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.server.pictures.PictureInfo;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.web.NotFound;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Opens, changes, undoes. One change is one transaction: the edit and the whole document after it. */
@Service
public class Reels {
    private final ReelStore store;
    private final PictureLibrary pictures;
    private final JsonMapper json;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher changes;

    Reels(
            ReelStore store,
            PictureLibrary pictures,
            JsonMapper json,
            TransactionTemplate transaction,
            ApplicationEventPublisher changes) {
        this.store = store;
        this.pictures = pictures;
        this.json = json;
        this.transaction = transaction;
        this.changes = changes;
    }

    /** Told to the rest of the application after a reel has changed. */
    public record Changed(OpenReel reel) {}

    public OpenReel create(String name) {
        String id = UUID.randomUUID().toString();
        String document = json.writeValueAsString(Reel.empty(name));
        transaction.executeWithoutResult(status -> store.insert(id, document));
        return open(id);
    }

    /** @throws NotFound where there is no such reel, or it was removed */
    public OpenReel open(String id) {
        return opened(row(id));
    }

    public List<OpenReel> all() {
        return store.all().stream().map(this::opened).toList();
    }

    /**
     * @param base the revision the edit was made on
     * @throws StaleBase where the reel has another revision by now
     * @throws EditRejected where the edit makes no sense on the reel
     */
    public OpenReel edit(String id, int base, Edit edit) {
        return change(id, base, from -> {
            Reel before = document(from);
            Reel after = Edit.apply(edit, before);
            checkPictures(before, after);
            return store.append(
                    from, edit.title(before), json.writeValueAsString(edit), json.writeValueAsString(after));
        });
    }

    public OpenReel undo(String id, int base) {
        return change(id, base, from -> {
            if (from.undo() == null) {
                throw new EditRejected("undo", "has nothing to take back");
            }
            return store.moveTo(from, from.step() - 1);
        });
    }

    public OpenReel redo(String id, int base) {
        return change(id, base, from -> {
            if (from.redo() == null) {
                throw new EditRejected("redo", "has nothing to do again");
            }
            return store.moveTo(from, from.step() + 1);
        });
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

    private interface Step {
        boolean take(ReelStore.Row from);
    }

    private OpenReel change(String id, int base, Step step) {
        OpenReel changed = transaction.execute(status -> {
            ReelStore.Row from = row(id);
            if (from.revision() != base || !step.take(from)) {
                throw new StaleBase(open(id));
            }
            return open(id);
        });
        changes.publishEvent(new Changed(changed));
        return changed;
    }

    /** A document may only name pictures that are here, by the size they have. */
    private void checkPictures(Reel before, Reel after) {
        var fresh = after.frames().stream()
                .map(Frame::still)
                .filter(still -> !before.pictures().contains(still.picture()))
                .collect(Collectors.toSet());
        Map<String, PictureInfo> known =
                pictures.infos(fresh.stream().map(Still::picture).collect(Collectors.toSet()));
        for (Still still : fresh) {
            PictureInfo info = known.get(still.picture());
            if (info == null
                    || info.width() != still.size().width()
                    || info.height() != still.size().height()) {
                throw new EditRejected("stills", "name a picture that was not uploaded: " + still.name());
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
        return new OpenReel(row.id(), row.revision(), row.touched(), document(row), row.undo(), row.redo());
    }

    private Reel document(ReelStore.Row row) {
        return json.readValue(row.document(), Reel.class);
    }
}
