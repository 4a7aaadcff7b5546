package dobbin.slim;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The best of what was tried: nothing else is both lighter and better-looking. */
public final class Frontier {
    private Frontier() {}

    /** @return those that no other beats, the lightest first */
    public static List<Trial> of(List<Trial> trials) {
        return trials.stream()
                .filter(trial -> better(trial, trials).isEmpty())
                .sorted(Comparator.comparingInt(Trial::bytes))
                .toList();
    }

    /** @return of those that beat it, the one that looks best, if there is one */
    public static Optional<Trial> better(Trial trial, List<Trial> trials) {
        return trials.stream()
                .filter(other -> other.beats(trial))
                .min(Comparator.comparingDouble(Trial::error).thenComparingInt(Trial::bytes));
    }
}
