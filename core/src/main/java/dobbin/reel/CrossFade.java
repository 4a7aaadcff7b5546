package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * Something between what two frames show.
 *
 * @param share 0 for all of {@code from}, 1 for all of {@code to}
 */
public record CrossFade(
        FrameContent from, FrameContent to, @Min(0) @Max(1) double share) implements FrameContent {
    public CrossFade {
        if (from == null || to == null) {
            throw new OutOfRange(from == null ? "from" : "to", "must be given");
        }
        Ranges.checkAmount(CrossFade.class, "share", share);
        if (from instanceof CrossFade || to instanceof CrossFade) {
            throw new OutOfRange("from", "and to must be stills or cards, not fades themselves");
        }
    }

    /**
     * @param share 0 for {@code first}, 1 for {@code second}, which may themselves be fades between the same two pictures
     * @throws OutOfRange where they fade between others
     */
    public static CrossFade between(FrameContent first, FrameContent second, double share) {
        CrossFade pair = first instanceof CrossFade fade
                ? fade
                : second instanceof CrossFade fade ? fade : new CrossFade(first, second, 0);
        double begin = pair.shareOf(first);
        return new CrossFade(pair.from, pair.to, begin + (pair.shareOf(second) - begin) * share);
    }

    /** @return a fade as far between what {@code change} makes of the two */
    public CrossFade withEach(UnaryOperator<FrameContent> change) {
        return new CrossFade(change.apply(from), change.apply(to), share);
    }

    private double shareOf(FrameContent content) {
        if (content instanceof CrossFade fade && fade.from.equals(from) && fade.to.equals(to)) {
            return fade.share;
        }
        if (content.equals(from) || content.equals(to)) {
            return content.equals(from) ? 0 : 1;
        }
        throw new OutOfRange("crossFade", "is not possible between frames that fade between other pictures already");
    }

    @Override
    public String name() {
        return from.name() + " → " + to.name();
    }

    @Override
    public <R> R match(Function<Still, R> still, Function<Card, R> card, Function<CrossFade, R> fade) {
        return fade.apply(this);
    }
}
