package dobbin.edit;

import dobbin.reel.Reel;
import dobbin.reel.Run;

/** Runs by their ids. */
final class RunsById {
    private RunsById() {}

    /** @throws EditRejected where the reel has no such run */
    static Run find(Reel reel, int id) {
        return reel.runs().stream()
                .filter(run -> run.id() == id)
                .findFirst()
                .orElseThrow(() -> new EditRejected("run", "is no longer in this reel"));
    }
}
