package dobbin.server.reels;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.document.ReelDocument;
import dobbin.document.UnreadableDocument;
import dobbin.edit.Edit;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Edits as they are stored, and the documents that were read or written last. */
@Component
class Documents {
    /** A reel that is worked on is asked for many times between two changes. */
    private static final int REMEMBERED = 16;

    private final JsonMapper json;
    private final Cache<Long, ReelSnapshot> latest =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    Documents(JsonMapper json) {
        this.json = json;
    }

    byte[] write(Edit edit) {
        return json.writeValueAsBytes(edit);
    }

    /** @return the edit, where this version still knows it */
    Optional<Edit> readEdit(byte[] edit) {
        try {
            return Optional.of(json.readValue(edit, Edit.class));
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }

    /** Loads a document that is not in the cache. */
    interface Source {
        byte[] get();
    }

    /**
     * @param serial of the stored document
     * @return the same object for the same document, as long as it is remembered
     * @throws UnreadableDocument where it is damaged, or of a later version
     */
    ReelSnapshot read(long serial, Source document) {
        return latest.get(serial, missing -> ReelSnapshot.of(ReelDocument.read(document.get())));
    }

    /** Keeps what was just stored, which is asked for next. */
    void remember(long serial, ReelSnapshot seen) {
        latest.put(serial, seen);
    }
}
