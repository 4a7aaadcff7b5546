package dobbin.server.renders;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Renderer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Short names for what things look like: equal names, equal pictures. They make addresses that never change. */
public final class RenderKeys {
    private static final int DIGITS = 24;

    private RenderKeys() {}

    /** @return the name of what {@code frame} looks like, at any size */
    public static String of(Reel reel, Frame frame) {
        return hash(Renderer.inputs(reel, frame));
    }

    /** @return the name of the loop as it runs: frames, their order, delays and plays, at any size and number of colors */
    public static String ofLoop(Reel reel) {
        StringBuilder inputs = new StringBuilder("loop-1 plays " + reel.plays().times());
        for (Frame frame : reel.frames()) {
            inputs.append('\n').append(frame.delayMillis()).append(' ').append(Renderer.inputs(reel, frame));
        }
        return hash(inputs.toString());
    }

    /** @return the name of the file that would be delivered */
    public static String ofDelivery(Reel reel) {
        return hash("delivery-1 " + ofLoop(reel) + ' ' + reel.delivery());
    }

    private static String hash(String inputs) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(inputs.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest).substring(0, DIGITS);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
