package dobbin.server.worker;

import com.sun.management.OperatingSystemMXBean;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.PrintStream;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * The main class of a worker process. It does one task after another, as they come on its standard input, and answers on its
 * standard output. It ends itself where a task takes too long or the process becomes too large, where nothing was asked of it for a while,
 * and where the server has gone. It must need few classes, and nothing of Spring, to be there at once.
 *
 * <p>Asked for: the {@link Task}'s ordinal (1 byte), its number (4), the length of the file (4), the file. Answered: whether it was done
 * (1 byte), the length of what follows (4), the answer or the clause in UTF-8.
 */
public final class Worker {
    static final int DONE = 0;
    static final int REFUSED = 1;

    /** The codes that a process ends with. The first is the JDK's own, of ExitOnOutOfMemoryError. */
    static final int ENDED_FOR_MEMORY = 3;

    static final int ENDED_FOR_TIME = 4;
    static final int ENDED_AS_UNUSED = 5;

    private static final int LOOKS_EVERY_MILLIS = 50;
    private static final long UNUSED_NANOS = 30_000_000_000L;
    private static final long MOST_RESIDENT_BYTES = 400_000_000;
    private static final int PAGE_BYTES = 4096;
    private static final Path MEMORY = Path.of("/proc/self/statm");
    private static final OperatingSystemMXBean SYSTEM =
            (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();

    private final long mostNanos;
    private volatile Doing doing = Doing.nothing();

    /** @param since for a task, what the process had had of a processor when it began; for none, by the clock; in nanoseconds */
    private record Doing(boolean task, long since) {
        static Doing nothing() {
            return new Doing(false, System.nanoTime());
        }

        static Doing aTask() {
            return new Doing(true, SYSTEM.getProcessCpuTime());
        }

        /** Collecting garbage counts as well: the time is the whole process's. */
        long lasts() {
            return (task ? SYSTEM.getProcessCpuTime() : System.nanoTime()) - since;
        }
    }

    private Worker(long mostNanos) {
        this.mostNanos = mostNanos;
    }

    /** @param args how much of a processor one task may take, in milliseconds */
    public static void main(String[] args) throws IOException {
        DataOutputStream out = new DataOutputStream(new BufferedOutputStream(System.out));
        // What a library prints must not come between the answers.
        System.setOut(new PrintStream(System.err, true, StandardCharsets.UTF_8));
        Worker worker = new Worker(Long.parseLong(args[0]) * 1_000_000);
        Thread watch = new Thread(worker::watch, "watch");
        watch.setDaemon(true);
        watch.start();
        worker.serve(new DataInputStream(System.in), out);
    }

    private void serve(DataInputStream in, DataOutputStream out) throws IOException {
        try {
            while (true) {
                Task task = Task.values()[in.readByte()];
                int number = in.readInt();
                byte[] file = new byte[in.readInt()];
                doing = Doing.aTask();
                in.readFully(file);
                answer(task, number, file, out);
                doing = Doing.nothing();
            }
        } catch (EOFException e) {
            // The server has ended it, or has ended itself.
            Runtime.getRuntime().halt(0);
        }
    }

    private static void answer(Task task, int number, byte[] file, DataOutputStream out) throws IOException {
        try {
            write(out, DONE, task.run(file, number));
        } catch (Unanswered e) {
            write(out, REFUSED, e.getMessage().getBytes(StandardCharsets.UTF_8));
        }
    }

    private static void write(DataOutputStream out, int kind, byte[] answer) throws IOException {
        out.writeByte(kind);
        out.writeInt(answer.length);
        out.write(answer);
        out.flush();
    }

    private void watch() {
        while (true) {
            Doing now = doing;
            if (now.lasts() > (now.task ? mostNanos : UNUSED_NANOS)) {
                Runtime.getRuntime().halt(now.task ? ENDED_FOR_TIME : ENDED_AS_UNUSED);
            }
            if (residentBytes() > MOST_RESIDENT_BYTES) {
                // The rasterizer's memory is not of the heap.
                Runtime.getRuntime().halt(ENDED_FOR_MEMORY);
            }
            try {
                Thread.sleep(LOOKS_EVERY_MILLIS);
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    /** @return what the process has of the machine's memory; 0 where that is not told */
    private static long residentBytes() {
        try {
            return Long.parseLong(Files.readString(MEMORY).split(" ")[1]) * PAGE_BYTES;
        } catch (IOException e) {
            return 0;
        }
    }
}
