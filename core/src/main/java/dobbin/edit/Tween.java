package dobbin.edit;

import dobbin.reel.Card;
import dobbin.reel.CrossFade;
import dobbin.reel.Cutout;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Ink;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.timing.Easing;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.ArrayList;
import java.util.List;

/**
 * Puts new frames between a frame and the next; after the last frame, between it and the first, so that the loop closes.
 * Cut-outs glide over them from where they are on the one to where they
 * are on the other; what the frames themselves show is held, or fades across in linear light. All other frames show what
 * they did.
 *
 * @param frame the one before
 * @param count how many new frames, 1 to 500
 * @param delayMillis of each new frame, or 0 to share out the delay of the frame before
 */
public record Tween(int frame, @Min(1) @Max(500) int count, int delayMillis, Easing leaves, boolean crossFade)
        implements Edit {
    /** Of frames that are no copies of any; {@link Gap#insert} gives them ids of their own. */
    private static final int NEW = 0;

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check(Tween.class, "count", count);
        Frame from = Chosen.of(reel, List.of(frame)).frames().get(0);
        int gap = Gap.index(reel, frame);
        boolean closes = gap == reel.frames().size();
        if (reel.frames().size() == 1) {
            throw new EditRejected("frame", "must have another to tween to");
        }
        Frame to = reel.frames().get(closes ? 0 : gap);
        List<Frame> added = new ArrayList<>();
        int[] delays = delays(from);
        for (int i = 1; i <= count; i++) {
            added.add(between(from, to, i / (count + 1.0)).withDelay(delays[i]));
        }
        Reel wider = Gap.insert(reel, gap, added);
        Reel timed = wider.withFrames(wider.frames().stream()
                .map(each -> each.id() == frame ? each.withDelay(delays[0]) : each)
                .toList());
        Tracks tracks = new Tracks(reel.frames());
        return timed.withCutouts(timed.cutouts().stream()
                .map(cutout -> {
                    Cutout before = Cutouts.one(reel, cutout.id());
                    return closes
                            ? closed(cutout, before, tracks, from, to, timed)
                            : keyed(cutout, before, tracks, from, to);
                })
                .toList());
    }

    @Override
    public String title(Reel reel) {
        return "Tween " + (count == 1 ? "1 frame" : count + " frames");
    }

    /** @return the delay of the frame before, then those of the new ones */
    private int[] delays(Frame from) {
        int[] delays = new int[count + 1];
        int shared = from.delayMillis();
        for (int i = 0; i <= count; i++) {
            delays[i] = delayMillis > 0
                    ? i == 0 ? shared : delayMillis
                    : (i + 1) * shared / (count + 1) - i * shared / (count + 1);
        }
        if (delayMillis == 0 && shared / (count + 1) < Ranges.MIN_DELAY_MILLIS) {
            throw new EditRejected(
                    "delayMillis",
                    "of " + shared + " ms is too short to be shared out among " + (count + 1) + " frames");
        }
        return delays;
    }

    /** Pages that are ink alone fade like stills; ink on stills stays as it is. */
    private Frame between(Frame from, Frame to, double share) {
        FrameContent before = fading(from);
        FrameContent after = fading(to);
        if (!crossFade || before.equals(after)) {
            return Frame.of(NEW, from.delayMillis(), from.content()).withInk(from.ink());
        }
        return Frame.of(NEW, from.delayMillis(), CrossFade.between(before, after, share))
                .withInk(isInkAlone(from) ? Ink.NONE : from.ink());
    }

    private static FrameContent fading(Frame frame) {
        return isInkAlone(frame) ? frame.ink().still() : frame.content();
    }

    private static boolean isInkAlone(Frame frame) {
        return frame.content().equals(Card.blank("")) && !frame.ink().none();
    }

    /** No glide goes from the last frame to the first: each new frame has a pose of its own on the way. */
    private Cutout closed(Cutout cutout, Cutout before, Tracks tracks, Frame from, Frame to, Reel timed) {
        Pose there = tracks.pose(before, tracks.index(from.id()));
        Pose here = tracks.pose(before, tracks.index(to.id()));
        if (there.equals(here)) {
            return cutout;
        }
        Cutout keyed = cutout.withKey(new Key(from.id(), there, Easing.EVEN));
        for (int i = 1; i <= count; i++) {
            Pose onTheWay = there.toward(here, leaves.at(i / (count + 1.0)));
            Frame added = timed.frames().get(timed.frames().size() - 1 - count + i);
            keyed = keyed.withKey(new Key(added.id(), onTheWay, Easing.EVEN));
        }
        return keyed;
    }

    private Cutout keyed(Cutout cutout, Cutout before, Tracks tracks, Frame from, Frame to) {
        Pose there = tracks.pose(before, tracks.index(from.id()));
        Pose here = tracks.pose(before, tracks.index(to.id()));
        if (there.equals(here)) {
            return cutout;
        }
        Easing onward = cutout.key(to.id()).map(Key::leaves).orElse(Easing.EVEN);
        return cutout.withKey(new Key(from.id(), there, leaves)).withKey(new Key(to.id(), here, onward));
    }
}
