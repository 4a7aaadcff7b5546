package dobbin.server.reels;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.dither.Dithering;
import dobbin.reel.Border;
import dobbin.reel.Encoding;
import dobbin.reel.Fill;
import dobbin.reel.Fit;
import dobbin.reel.Reel;
import dobbin.reel.Run;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Reels as they are stored. What was stored by an earlier version gets what it could not say yet. */
@Component
class Documents {
    /** A reel that is worked on is asked for many times between two changes. */
    private static final int REMEMBERED = 16;

    private final JsonMapper json;
    private final Cache<String, Reel> latest =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    Documents(JsonMapper json) {
        this.json = json;
    }

    String write(Reel reel) {
        return json.writeValueAsString(reel);
    }

    /** @return the reel; the same object for the same document, as long as it is remembered */
    Reel read(String document) {
        return latest.get(document, this::parsed);
    }

    private Reel parsed(String document) {
        if (document.contains("\"encoding\"")) {
            return json.readValue(document, Reel.class);
        }
        ObjectNode reel = (ObjectNode) json.readTree(document);
        completeDelivery((ObjectNode) reel.get("delivery"));
        if (!reel.has("cutouts")) {
            completeCutouts(reel);
        }
        return json.treeToValue(reel, Reel.class);
    }

    /** Before the finer settings there was one dither, which had no name of its own. */
    private void completeDelivery(ObjectNode delivery) {
        if (delivery.get("dither").asString().equals("ERROR")) {
            delivery.put("dither", Dithering.USUAL.dither().name());
        }
        delivery.set("encoding", json.valueToTree(Encoding.USUAL));
    }

    private void completeCutouts(ObjectNode reel) {
        if (reel.has("nextFrameId")) {
            completeFrames(reel);
        }
        reel.set("backdrop", json.valueToTree(Fill.NONE));
        ((ObjectNode) reel.get("backdrop")).put("kind", "fill");
        reel.putArray("cutouts");
        reel.set("border", json.valueToTree(Border.NONE));
    }

    /** The first version had no runs, cards, fits or frames left out, and called the next id by another name. */
    private void completeFrames(ObjectNode reel) {
        reel.set("nextId", reel.remove("nextFrameId"));
        reel.putArray("runs");
        reel.putArray("dismissed");
        for (JsonNode each : reel.withArray("frames")) {
            ObjectNode frame = (ObjectNode) each;
            ObjectNode still = (ObjectNode) frame.remove("still");
            still.put("kind", "still");
            still.set("fit", json.valueToTree(Fit.USUAL));
            frame.set("content", still);
            frame.put("leftOut", false);
            frame.put("run", Run.NONE);
        }
    }
}
