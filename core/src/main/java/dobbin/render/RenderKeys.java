package dobbin.render;

import dobbin.reel.Aligned;
import dobbin.reel.Card;
import dobbin.reel.ContentName;
import dobbin.reel.Cutout;
import dobbin.reel.Fill;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Group;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Shape;
import dobbin.reel.Still;
import dobbin.reel.Tracks;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * Short names for what things of one reel look like, made of all they depend on: equal names, equal pictures. They make
 * addresses that never change. The word each begins with changes when the way of drawing or writing does. May be asked by
 * several threads at once, and remembers the names.
 */
public final class RenderKeys {
    /** Changes with the way of drawing, and so with every name. */
    public static final int VERSION = 7;

    private static final int DIGITS = 24;

    private final Reel reel;
    private final Tracks tracks;
    private final Map<Integer, String> frames = new ConcurrentHashMap<>();
    private final Map<Cutout, Lying> lying = Collections.synchronizedMap(new IdentityHashMap<>());
    private volatile Map<String, Frame> byName;

    public RenderKeys(Reel reel) {
        this.reel = reel;
        this.tracks = new Tracks(reel.frames());
    }

    /** The part of a cut-out's key that is the same on all frames; its name is in it where its art never changes. */
    private record Lying(String how, String art) {}

    public Tracks tracks() {
        return tracks;
    }

    /** @return the name of what {@code frame} looks like, at any size */
    public String of(Frame frame) {
        return frames.computeIfAbsent(frame.id(), id -> name(drawing(frame)));
    }

    /** @return the name of what lies under the ink of {@code frame} */
    public String ofUnderInk(Frame frame) {
        StringBuilder inputs = beginning();
        inputs.append("under ").append(ingredients(frame.content()));
        addBackdrop(inputs);
        addCutouts(those(true), tracks.index(frame.id()), inputs);
        return name(inputs.toString());
    }

    /** @return the name of what lies over the ink of {@code frame}; empty where nothing does */
    public String ofOverInk(Frame frame) {
        StringBuilder inputs = new StringBuilder();
        addCutouts(those(false), tracks.index(frame.id()), inputs);
        if (!reel.border().none()) {
            inputs.append("\nin ").append(reel.border());
        }
        return inputs.isEmpty()
                ? ""
                : name(beginning().append("over ").append(inputs).toString());
    }

    private List<Cutout> those(boolean under) {
        return reel.cutouts().stream().filter(each -> each.under() == under).toList();
    }

    /** @return the frame that looks like what is called {@code name}, if there is one */
    public Optional<Frame> frame(String name) {
        if (byName == null) {
            Map<String, Frame> all = new HashMap<>();
            reel.frames().forEach(frame -> all.put(of(frame), frame));
            byName = all;
        }
        return Optional.ofNullable(byName.get(name));
    }

    /** @return the name of what the cut-out shows there, without its pose */
    public String ofArt(Cutout cutout, int index) {
        String constant = lying(cutout).art;
        return constant == null ? name("art-3 " + art(cutout, index)) : constant;
    }

    /** @return the name of the loop as it runs: frames, their order, delays and plays, at any size and number of colors */
    public String ofLoop() {
        return name("loop-2 " + reel.plays().times() + loop());
    }

    /** @return the name of the file that would be delivered */
    public String ofDelivery() {
        return name("delivery-6 " + reel.plays().times() + ' ' + reel.delivery() + loop());
    }

    /**
     * @return the name of what would be delivered but for delays and plays, which can be changed without encoding again
     */
    public String ofEncoding() {
        return name(reel.loop().stream()
                .map(this::of)
                .collect(Collectors.joining(" ", "encoding-6 " + reel.delivery() + ' ', "")));
    }

    /** @return the name of what a file is made of, whatever its settings: the frames that play, the crop and the matte */
    public String ofMaterial() {
        String frames = reel.loop().stream().map(this::of).collect(Collectors.joining(" "));
        return name("material-1 " + reel.delivery().framing().crop() + ' '
                + reel.delivery().matte() + ' ' + frames);
    }

    private String loop() {
        StringBuilder inputs = new StringBuilder();
        for (Frame frame : reel.loop()) {
            inputs.append('\n').append(frame.delayMillis()).append(' ').append(of(frame));
        }
        return inputs.toString();
    }

    private String drawing(Frame frame) {
        StringBuilder inputs = beginning();
        inputs.append(ingredients(frame.content()));
        if (!frame.ink().none()) {
            inputs.append("\nunder ").append(frame.ink());
        }
        addBackdrop(inputs);
        addCutouts(reel.cutouts(), tracks.index(frame.id()), inputs);
        if (!reel.border().none()) {
            inputs.append("\nin ").append(reel.border());
        }
        return inputs.toString();
    }

    private StringBuilder beginning() {
        return new StringBuilder("drawing-")
                .append(VERSION)
                .append(' ')
                .append(reel.canvas())
                .append(' ');
    }

    private void addBackdrop(StringBuilder inputs) {
        if (!reel.backdrop().equals(Fill.NONE)) {
            inputs.append("\non ").append(reel.backdrop().match(Fill::toString, RenderKeys::ingredients));
        }
    }

    private void addCutouts(List<Cutout> cutouts, int index, StringBuilder inputs) {
        for (Cutout cutout : cutouts) {
            if (!cutout.hidden() && tracks.isThere(cutout, index)) {
                inputs.append("\nwith ").append(lying(cutout).how).append(' ');
                add(tracks.pose(cutout, index), inputs);
                inputs.append(ofArt(cutout, index));
            }
        }
    }

    /** A record would write itself far more slowly, and there is a pose for each cut-out and frame. */
    private static void add(Pose pose, StringBuilder inputs) {
        add(pose.x(), inputs);
        add(pose.y(), inputs);
        add(pose.scaleX(), inputs);
        add(pose.scaleY(), inputs);
        add(pose.turn(), inputs);
        add(pose.opacity(), inputs);
        add(pose.shown(), inputs);
        add(pose.walk(), inputs);
    }

    private static void add(double number, StringBuilder inputs) {
        inputs.append(Math.round(Pose.FINEST * number)).append(' ');
    }

    private Lying lying(Cutout cutout) {
        return lying.computeIfAbsent(cutout, it -> {
            String how = String.join(
                    " ",
                    String.valueOf(it.under()),
                    it.blend().name(),
                    it.shadow().toString(),
                    String.valueOf(it.pivotX()),
                    String.valueOf(it.pivotY()));
            String art = it.art().match(cycle -> null, words -> null, Shape::toString, group -> null);
            return new Lying(how, art == null ? null : name("art-3 " + art));
        });
    }

    private String art(Cutout cutout, int index) {
        return cutout.art()
                .match(
                        cycle -> cycle.pictures().get(tracks.turn(cutout, index)) + " " + cycle.width() + ' '
                                + cycle.height(),
                        words -> {
                            Pose pose = tracks.pose(cutout, index);
                            return words + " " + pose.shown() + ' ' + pose.walk();
                        },
                        Shape::toString,
                        group -> group(group, index));
    }

    private String group(Group group, int index) {
        StringBuilder inputs = new StringBuilder("group " + group.width() + ' ' + group.height());
        addCutouts(group.members(), index, inputs);
        return inputs.append('\n').toString();
    }

    private static String ingredients(FrameContent content) {
        return content.match(
                RenderKeys::ingredients,
                Card::toString,
                fade -> "fade " + ingredients(fade.from()) + ' ' + ingredients(fade.to()) + ' ' + fade.share());
    }

    private static String ingredients(Still still) {
        String lying = still.picture() + ' ' + still.size() + ' ' + still.fit();
        Aligned aligned = still.aligned();
        String moved = aligned.none()
                ? lying
                : lying
                        + ' '
                        + aligned.dx()
                        + ' '
                        + aligned.dy()
                        + ' '
                        + aligned.turn()
                        + ' '
                        + aligned.scale()
                        + (aligned.perspective().none() ? "" : " " + aligned.perspective());
        return still.light().none() ? moved : moved + ' ' + still.light();
    }

    private static String name(String inputs) {
        return ContentName.of(inputs).substring(0, DIGITS);
    }
}
