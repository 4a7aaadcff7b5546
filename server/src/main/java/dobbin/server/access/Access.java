package dobbin.server.access;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * Who may do what with a reel.
 *
 * @param owner whose it is; null where it is everybody's
 * @param yours what whoever asks may do
 * @param everyone what all may do who can sign in
 * @param people what some may do besides; told to its owner
 * @param names of all others who can sign in; told to its owner
 */
@Schema(name = "AccessView")
record Access(
        @Schema(types = {"string", "null"}) String owner,
        Right yours,
        Right everyone,
        List<Grant> people,
        List<String> names) {

    /** One person's right to the reel. */
    record Grant(String name, Right right) {}
}
