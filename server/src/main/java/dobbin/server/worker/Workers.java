package dobbin.server.worker;

import dobbin.lettering.UnusableTypeface;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.Settings;
import dobbin.server.web.Refused;
import dobbin.server.work.Lines;
import dobbin.still.Checkpoint;
import dobbin.still.SvgRenderer;
import dobbin.still.UnreadablePicture;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * The worker processes. They are started when there is something to do, and end by themselves when there was nothing for a while. One
 * person's files take one of them, so that others need not wait.
 */
@Component
public class Workers implements SvgRenderer {
    private static final Logger LOG = LoggerFactory.getLogger(Workers.class);
    /** How many there are at most. */
    public static final int PROCESSES = 2;

    /** How many of them work for one person. */
    public static final int OF_ONE_PERSON = 1;

    private static final int MOST_WAITING = 1_000;
    private static final int LOOKS_EVERY_MILLIS = 20;

    private final Duration most;
    private final Lines lines = Lines.bounded("workers", PROCESSES, OF_ONE_PERSON, MOST_WAITING);
    private final ConcurrentLinkedDeque<WorkerProcess> idle = new ConcurrentLinkedDeque<>();
    private final Set<WorkerProcess> all = ConcurrentHashMap.newKeySet();

    @Autowired
    Workers(Settings settings) {
        this(settings.longestReading());
    }

    /** @param most how much of a processor one file may take */
    Workers(Duration most) {
        this.most = most;
    }

    @Override
    public Raster draw(byte[] file, int longerSide, Checkpoint checkpoint) throws UnreadablePicture {
        try {
            ByteBuffer answer = ByteBuffer.wrap(ask(Task.DRAW_SVG, longerSide, Content.of(file), checkpoint));
            Size size = new Size(answer.getInt(), answer.getInt());
            int[] argb = new int[(int) size.area()];
            answer.asIntBuffer().get(argb);
            return Raster.of(size, argb);
        } catch (Unanswered e) {
            throw new UnreadablePicture(e.getMessage(), e);
        }
    }

    /** Draws letters in a typeface, where that does no harm. @throws UnusableTypeface where they cannot be drawn */
    public void tryTypeface(byte[] file) throws UnusableTypeface {
        tryTypeface(Content.of(file));
    }

    /** Tries a typeface file, which comes into memory in the worker process alone. @throws UnusableTypeface where it cannot be used */
    public void tryTypeface(Path file) throws UnusableTypeface {
        tryTypeface(Content.of(file));
    }

    private void tryTypeface(Content file) throws UnusableTypeface {
        try {
            ask(Task.TRY_TYPEFACE, 0, file, Checkpoint.NONE);
        } catch (Unanswered e) {
            throw new UnusableTypeface(e.getMessage());
        }
    }

    private byte[] ask(Task task, int number, Content file, Checkpoint checkpoint) throws Unanswered {
        Errand errand = new Errand(task, number, file);
        try {
            Future<byte[]> answer = lines.submit(errand::run);
            while (true) {
                try {
                    return answer.get(LOOKS_EVERY_MILLIS, TimeUnit.MILLISECONDS);
                } catch (TimeoutException e) {
                    checkpoint.check();
                }
            }
        } catch (RejectedExecutionException e) {
            throw new Refused(HttpStatus.SERVICE_UNAVAILABLE, "Dobbin has too much to do. Try again in a moment.");
        } catch (ExecutionException e) {
            throw unanswered(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Refused(HttpStatus.SERVICE_UNAVAILABLE, "Dobbin is being stopped.");
        } finally {
            errand.giveUp();
        }
    }

    private static Unanswered unanswered(Throwable failure) {
        if (failure instanceof Unanswered told) {
            return told;
        }
        LOG.error("A worker process could not be started, or asked", failure);
        return new Unanswered("could not be read, since no process could be started for it. Try again", failure);
    }

    /** One file on its way to a worker process and back. */
    private final class Errand {
        private final Task task;
        private final int number;
        private final Content file;
        private boolean unwanted;
        private WorkerProcess process;

        Errand(Task task, int number, Content file) {
            this.task = task;
            this.number = number;
            this.file = file;
        }

        byte[] run() throws IOException, InterruptedException, Unanswered {
            while (true) {
                if (!take(free())) {
                    throw unwanted(null);
                }
                try {
                    byte[] answer = process.ask(task, number, file);
                    giveBack();
                    return answer;
                } catch (Unanswered e) {
                    giveBack();
                    throw e;
                } catch (IOException e) {
                    checkEndedAsUnused(e);
                }
            }
        }

        private WorkerProcess free() throws IOException {
            for (WorkerProcess process = idle.poll(); process != null; process = idle.poll()) {
                if (process.isAlive()) {
                    return process;
                }
                all.remove(process);
            }
            WorkerProcess started = WorkerProcess.start(most);
            all.add(started);
            return started;
        }

        /** @return whether the answer is wanted still */
        private synchronized boolean take(WorkerProcess taken) {
            if (unwanted) {
                idle.push(taken);
                return false;
            }
            process = taken;
            return true;
        }

        private synchronized void giveBack() {
            if (!unwanted) {
                idle.push(process);
            } else {
                all.remove(process);
            }
            process = null;
        }

        private synchronized boolean isUnwanted() {
            return unwanted;
        }

        private static Unanswered unwanted(IOException cause) {
            return new Unanswered("is not wanted any more", cause);
        }

        /** Ends the process where it still works for this. */
        synchronized void giveUp() {
            unwanted = true;
            if (process != null) {
                process.end();
            }
        }

        /** Returns if the process ended itself as unused just before it was asked. @throws Unanswered where it ended for another reason */
        private void checkEndedAsUnused(IOException cause) throws InterruptedException, Unanswered {
            all.remove(process);
            int code = process.exitCode();
            if (isUnwanted()) {
                throw unwanted(cause);
            }
            if (code != Worker.ENDED_AS_UNUSED) {
                throw new Unanswered(why(code), cause);
            }
        }
    }

    private String why(int exitCode) {
        return switch (exitCode) {
            case Worker.ENDED_FOR_TIME ->
                "takes more than " + most.toSeconds()
                        + " s of a processor to be read. Save it anew, simpler or in another format";
            case Worker.ENDED_FOR_MEMORY ->
                "takes too much memory to be read. Save it anew, simpler or in another format";
            default -> {
                LOG.warn("A worker process ended with {}", exitCode);
                yield "is damaged: reading it failed. Save it anew";
            }
        };
    }

    @PreDestroy
    void stop() {
        lines.stop();
        all.forEach(WorkerProcess::end);
    }
}
