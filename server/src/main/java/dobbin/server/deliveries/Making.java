package dobbin.server.deliveries;

import dobbin.slim.Progress;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;

/** A file that is being made, once, for all who wait for it: weighing, delivering. It is given up when nobody does any more. */
final class Making implements Progress {
    private final CompletableFuture<Void> ended = new CompletableFuture<>();
    private final List<Progress> waiting = new ArrayList<>();
    private boolean givenUp;
    private int done;
    private int total = 1;

    CompletableFuture<Void> ended() {
        return ended;
    }

    /** @return false where it was given up already */
    synchronized boolean join(Progress progress) {
        if (!givenUp) {
            waiting.add(progress);
        }
        return !givenUp;
    }

    synchronized void leave(Progress progress) {
        waiting.remove(progress);
    }

    @Override
    public synchronized void report(int newDone, int newTotal) {
        done = newDone;
        total = newTotal;
        waiting.removeIf(each -> !isStillWanted(each));
        if (waiting.isEmpty()) {
            givenUp = true;
            throw new CancellationException();
        }
    }

    /** Tells one who waits how far it is. */
    void tell(Progress progress) {
        int nowDone;
        int nowTotal;
        synchronized (this) {
            nowDone = done;
            nowTotal = total;
        }
        progress.report(nowDone, nowTotal);
    }

    private boolean isStillWanted(Progress progress) {
        try {
            progress.report(done, total);
            return true;
        } catch (CancellationException e) {
            return false;
        }
    }
}
