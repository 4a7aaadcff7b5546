package dobbin.server.instances;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A thread that listens, and begins again where the database was away. */
final class Listening {
    private static final Logger LOG = LoggerFactory.getLogger(Listening.class);
    private static final long BEFORE_TRYING_AGAIN_NANOS = TimeUnit.SECONDS.toNanos(1);

    private volatile Thread thread;
    private volatile boolean stopped;

    /** Listens until it is stopped, or the database is away. */
    interface Ear {
        /** @param begun to be called once nothing is missed any more */
        void listen(Runnable begun) throws Exception;
    }

    /** @param missed called each time it has begun again */
    void begin(Ear ear, Runnable missed) {
        thread = new Thread(() -> againAndAgain(ear, missed), "instances");
        thread.setDaemon(true);
        thread.start();
    }

    boolean goesOn() {
        return !stopped;
    }

    void stop() {
        stopped = true;
        if (thread != null) {
            thread.interrupt();
        }
    }

    private void againAndAgain(Ear ear, Runnable missed) {
        for (boolean again = false; !stopped; again = true) {
            try {
                ear.listen(again ? missed : () -> {});
            } catch (Exception e) {
                if (!stopped) {
                    LOG.warn("Other instances are not heard of until the database answers again: {}", e.getMessage());
                    LockSupport.parkNanos(BEFORE_TRYING_AGAIN_NANOS);
                }
            }
        }
    }
}
