package dobbin.document;

import dobbin.reel.Ranges;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Brings stored documents from any form that was ever stored to the form of today, one form at a time. What an upgrade writes is
 * written out here, and does not change with what is usual today: old reels stay what they were.
 *
 * <ol>
 *   <li>stills one after the other
 *   <li>runs, cards, fits, frames left out
 *   <li>cut-outs, backdrop, border
 *   <li>finer settings of the delivery
 *   <li>a format number; cut-outs that are away from any frames, pictures of cycles kept by frames, a delivered width
 *       that follows the canvas
 *   <li>typeface files of one's own, words that are broken into lines
 *   <li>a part of the canvas and of the frames that is delivered, how its colors are chosen, flat edges;
 *       stills placed where a crop of the canvas left them
 *   <li>ink on frames, and swatches to draw with
 *   <li>stills that are lined up and in even light, and when they were taken
 *   <li>perspective of stills that are lined up; what the loop shows in words, and the still that stands for it
 *   <li>no control characters in names
 * </ol>
 */
final class Upgrades {
    static final int CURRENT = 11;

    private static final String NAME = "name";

    private final JsonMapper json;

    Upgrades(JsonMapper json) {
        this.json = json;
    }

    /** @param text JSON with apostrophes for quotes */
    private JsonNode literal(String text) {
        return json.readTree(text.replace('\'', '"'));
    }

    /** @return the reel in the form of today; may be changed parts of {@code document} */
    ObjectNode current(JsonNode document) {
        if (document.has("format") && !document.get("format").isInt()) {
            throw new IllegalArgumentException("The format must be a whole number");
        }
        int format = document.has("format") ? document.get("format").asInt() : unnumbered(document);
        if (format > CURRENT) {
            throw UnreadableDocument.ofALaterVersion();
        }
        ObjectNode reel = (ObjectNode) (document.has("format") ? document.get("reel") : document);
        if (format < 2) {
            toSecond(reel);
        }
        if (format < 3) {
            toThird(reel);
        }
        if (format < 4) {
            toFourth(reel);
        }
        if (format < 5) {
            toFifth(reel);
        }
        if (format < 6) {
            toSixth(reel);
        }
        if (format < 7) {
            toSeventh(reel);
        }
        if (format < 8) {
            toEighth(reel);
        }
        if (format < 9) {
            eachStill(reel, this::toNinth);
        }
        if (format < 10) {
            eachStill(reel, this::toTenth);
            reel.set("sharing", literal("{'alt':'','still':0}"));
        }
        if (format < 11) {
            toEleventh(reel);
        }
        return reel;
    }

    private static void toEleventh(ObjectNode part) {
        if (part.path(NAME).isString()) {
            part.put(NAME, Ranges.withoutControls(part.get(NAME).asString()));
        }
        part.values().forEach(Upgrades::eachToEleventh);
    }

    private static void eachToEleventh(JsonNode value) {
        if (value instanceof ObjectNode part) {
            toEleventh(part);
        } else {
            value.values().forEach(Upgrades::eachToEleventh);
        }
    }

    /** Documents have had a number since the fifth form; those before are told by the fields they have. */
    private static int unnumbered(JsonNode reel) {
        if (reel.has("nextFrameId")) {
            return 1;
        }
        if (!reel.has("cutouts")) {
            return 2;
        }
        return reel.get("delivery").has("encoding") ? 4 : 3;
    }

    private void toSecond(ObjectNode reel) {
        reel.set("nextId", reel.remove("nextFrameId"));
        reel.putArray("runs");
        reel.putArray("dismissed");
        for (JsonNode each : reel.withArray("frames")) {
            ObjectNode frame = (ObjectNode) each;
            ObjectNode still = (ObjectNode) frame.remove("still");
            still.put("kind", "still");
            still.set("fit", literal("{'way':'INSIDE','focusX':0.5,'focusY':0.5,'background':''}"));
            frame.set("content", still);
            frame.put("leftOut", false);
            frame.put("run", 0);
        }
    }

    private void toThird(ObjectNode reel) {
        reel.set("backdrop", literal("{'kind':'fill','color':'','toColor':'','angle':0.0}"));
        reel.putArray("cutouts");
        reel.set("border", literal("{'width':0,'color':'1e2a32','radius':0}"));
    }

    /** Before the finer settings there was one dither, which had no name of its own. */
    private void toFourth(ObjectNode reel) {
        ObjectNode delivery = (ObjectNode) reel.get("delivery");
        if (delivery.get("dither").asString().equals("ERROR")) {
            delivery.put("dither", "SIERRA_LITE");
        }
        delivery.set(
                "encoding",
                literal("{'ditherAmount':85,'palette':'AUTO','tolerance':20,'alphaCutoff':128,'keptColors':[],"
                        + "'comment':''}"));
    }

    private void toFifth(ObjectNode reel) {
        ObjectNode delivery = (ObjectNode) reel.get("delivery");
        int canvas = reel.get("canvas").get("width").asInt();
        if (delivery.get("width").asInt() == (canvas <= 800 ? canvas : 480)) {
            delivery.put("width", 0);
        }
        List<Integer> frames = new ArrayList<>();
        reel.withArray("frames").forEach(frame -> frames.add(frame.get("id").asInt()));
        reel.withArray("cutouts").forEach(cutout -> toFifth((ObjectNode) cutout, frames));
    }

    private void toSixth(ObjectNode reel) {
        reel.withArray("frames").forEach(frame -> letteringToSixth((ObjectNode) frame.get("content")));
        reel.withArray("cutouts").forEach(cutout -> letteringToSixth((ObjectNode) cutout.get("art")));
    }

    private void toSeventh(ObjectNode reel) {
        ObjectNode delivery = (ObjectNode) reel.get("delivery");
        int width = delivery.remove("width").asInt();
        delivery.set(
                "framing",
                literal("{'crop':{'x':0,'y':0,'width':0,'height':0},'width':" + width
                        + ",'height':0,'enlarge':1,'scaling':'SMOOTH','every':1}"));
        delivery.set("coloring", literal("{'choice':'SEEN','own':[]}"));
        delivery.put("flat", false);
        eachStill(
                reel,
                still -> ((ObjectNode) still.get("fit"))
                        .set("region", literal("{'x':0.0,'y':0.0,'width':0.0,'height':0.0}")));
    }

    private void toEighth(ObjectNode reel) {
        reel.putArray("swatches");
        reel.withArray("frames")
                .forEach(frame -> ((ObjectNode) frame)
                        .set("ink", literal("{'picture':'','size':{'width':1,'height':1},'x':0,'y':0}")));
    }

    private void toNinth(ObjectNode still) {
        still.put("taken", 0);
        still.set("aligned", literal("{'dx':0.0,'dy':0.0,'turn':0.0,'scale':1.0,'sure':0.0}"));
        still.set("light", literal("{'gain':1.0,'lift':0.0}"));
    }

    private void toTenth(ObjectNode still) {
        ((ObjectNode) still.get("aligned"))
                .set("perspective", literal("{'across':0.0,'down':0.0,'stretch':1.0,'lean':0.0}"));
    }

    /** Changes the stills of frames, of those that fade too, and the backdrop's. */
    private static void eachStill(ObjectNode reel, Consumer<ObjectNode> change) {
        reel.withArray("frames").forEach(frame -> eachStillOf((ObjectNode) frame.get("content"), change));
        eachStillOf((ObjectNode) reel.get("backdrop"), change);
    }

    private static void eachStillOf(ObjectNode content, Consumer<ObjectNode> change) {
        switch (content.get("kind").asString()) {
            case "still" -> change.accept(content);
            case "crossFade" -> {
                eachStillOf((ObjectNode) content.get("from"), change);
                eachStillOf((ObjectNode) content.get("to"), change);
            }
            default -> {
                // Cards and fills have no stills.
            }
        }
    }

    /** @param content of a frame, or art of a cut-out */
    private void letteringToSixth(ObjectNode content) {
        switch (content.get("kind").asString()) {
            case "card" -> content.set("own", literal("{'file':'','name':''}"));
            case "words" -> {
                content.set("own", literal("{'file':'','name':''}"));
                content.put("widest", 0);
            }
            case "crossFade" -> {
                letteringToSixth((ObjectNode) content.get("from"));
                letteringToSixth((ObjectNode) content.get("to"));
            }
            case "group" ->
                content.withArray("members").forEach(member -> letteringToSixth((ObjectNode) member.get("art")));
            default -> {
                // Stills, cycles and shapes have no letters.
            }
        }
    }

    /** A cut-out was there from one frame to another, and pictures went by the places of frames. */
    private void toFifth(ObjectNode cutout, List<Integer> frames) {
        int first = frames.indexOf(cutout.remove("firstFrame").asInt());
        int last = frames.indexOf(cutout.remove("lastFrame").asInt());
        int from = Math.max(0, last < 0 ? first : Math.min(first, last));
        int to = last < 0 ? frames.size() - 1 : Math.max(first, last);
        ArrayNode away = cutout.putArray("away");
        for (int i = 0; i < frames.size(); i++) {
            if (i < from || i > to) {
                away.add(frames.get(i));
            }
        }
        ObjectNode shows = cutout.putObject("shows");
        ObjectNode art = (ObjectNode) cutout.get("art");
        String kind = art.get("kind").asString();
        if (kind.equals("group")) {
            art.withArray("members").forEach(member -> toFifth((ObjectNode) member, frames));
        }
        if (kind.equals("cycle")) {
            art.put("turns", "KEPT");
            int pictures = art.get("pictures").size();
            for (int i = 0; pictures > 1 && i < frames.size(); i++) {
                int turn = (i + art.get("offset").asInt()) / art.get("every").asInt() % pictures;
                shows.put(String.valueOf(frames.get(i)), turn);
            }
        }
    }
}
