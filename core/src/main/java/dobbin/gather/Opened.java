package dobbin.gather;

import java.util.List;
import java.util.OptionalInt;

/**
 * What a file was, beside its stills.
 *
 * @param plays how often viewers play it in all, 0 for without end; nothing where it is no animation
 * @param notes what was changed or left out: clauses to follow the file's name
 */
public record Opened(OptionalInt plays, List<String> notes) {
    public Opened {
        notes = List.copyOf(notes);
    }
}
