package dobbin.server.reels;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.edit.Edit;
import dobbin.reel.Reel;
import java.util.Optional;
import org.springframework.context.annotation.DependsOn;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reels and edits as they are stored: {@code {"format": 6, "reel": {...}}} in JSON. What an earlier version stored is
 * brought up to the form of today as it is read, and never rewritten. Words name typeface files, which are known before.
 */
@Component
@DependsOn("typefaceStore")
class Documents {
    /** A reel that is worked on is asked for many times between two changes. */
    private static final int REMEMBERED = 16;

    private final JsonMapper json;
    private final Upgrades upgrades;
    private final Cache<Long, Seen> latest =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    Documents(JsonMapper json) {
        this.json = json;
        this.upgrades = new Upgrades(json);
    }

    byte[] write(Reel reel) {
        ObjectNode document = json.createObjectNode();
        document.put("format", Upgrades.CURRENT);
        document.set("reel", json.valueToTree(reel));
        return json.writeValueAsBytes(document);
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

    /** Where a document comes from, asked only when it is not remembered. */
    interface Source {
        byte[] get();
    }

    /**
     * @param serial of the stored document
     * @return the same object for the same document, as long as it is remembered
     */
    Seen read(long serial, Source document) {
        return latest.get(serial, missing -> Seen.of(read(document.get())));
    }

    /** Keeps what was just stored, which is asked for next. */
    void remember(long serial, Seen seen) {
        latest.put(serial, seen);
    }

    /** @throws UnreadableDocument where it is damaged, or of a later version */
    Reel read(byte[] document) {
        try {
            JsonNode root = json.readTree(document);
            return json.treeToValue(upgrades.current(root), Reel.class);
        } catch (JacksonException | IllegalArgumentException | ClassCastException | NullPointerException e) {
            throw new UnreadableDocument("This reel is damaged: what is stored of it cannot be read.", e);
        }
    }
}
