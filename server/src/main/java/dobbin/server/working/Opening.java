package dobbin.server.working;

import io.swagger.v3.oas.annotations.media.Schema;

/**
 * How far a working file is opened: a line of the answer.
 *
 * @param read how many of its pictures are read, {@code of} how many there are
 * @param reel the id of the new reel, in the last line; else null
 * @param problem a sentence on why it was refused, in the last line; else null
 */
record Opening(
        int read,
        int of,
        @Schema(types = {"string", "null"}) String reel,
        @Schema(types = {"string", "null"}) String problem) {

    static Opening at(int read, int of) {
        return new Opening(read, of, null, null);
    }

    static Opening done(String reel, int of) {
        return new Opening(of, of, reel, null);
    }

    static Opening refused(String problem) {
        return new Opening(0, 0, null, problem);
    }
}
