package dobbin.document;

import dobbin.reel.Reel;
import tools.jackson.core.JacksonException;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reels as JSON: {@code {"format": 11, "reel": {...}}}. What an earlier version wrote is brought up to the form of today as it
 * is read. Words name typeface files, which are known before.
 */
public final class ReelDocument {
    static final JsonMapper JSON = Shapes.mapper();
    private static final DefaultIndenter TWO_BLANKS = new DefaultIndenter("  ", "\n");
    private static final ObjectWriter FOR_PEOPLE = JSON.writer()
            .with(new DefaultPrettyPrinter().withObjectIndenter(TWO_BLANKS).withArrayIndenter(TWO_BLANKS));
    private static final Upgrades UPGRADES = new Upgrades(JSON);

    private ReelDocument() {}

    public static byte[] write(Reel reel) {
        return JSON.writeValueAsBytes(document(reel));
    }

    /** Writes the document with a line for each value: for files that are passed on. */
    static byte[] writeForPeople(Reel reel) {
        return forPeople(document(reel));
    }

    static byte[] forPeople(Object value) {
        return FOR_PEOPLE.writeValueAsBytes(value);
    }

    private static ObjectNode document(Reel reel) {
        ObjectNode document = JSON.createObjectNode();
        document.put("format", Upgrades.CURRENT);
        document.set("reel", JSON.valueToTree(reel));
        return document;
    }

    /** @throws UnreadableDocument where it is damaged, or of a later version */
    public static Reel read(byte[] document) {
        try {
            JsonNode root = JSON.readTree(document);
            return JSON.treeToValue(UPGRADES.current(root), Reel.class);
        } catch (JacksonException | IllegalArgumentException | ClassCastException | NullPointerException e) {
            throw new UnreadableDocument("This reel is damaged: what is stored of it cannot be read.", e);
        }
    }
}
