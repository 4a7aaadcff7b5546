package dobbin.reel;

import java.util.function.Function;

/** What lies behind all frames. */
public sealed interface Backdrop permits Fill, Still {
    /** @return what the function for its kind gives */
    <R> R match(Function<Fill, R> fill, Function<Still, R> still);
}
