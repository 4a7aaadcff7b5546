package dobbin.cli;

import com.sun.management.OperatingSystemMXBean;
import dobbin.slim.Stages;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.LongAdder;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** Time and memory of one run: of the whole process, and of each stage by the threads that do it. */
final class Meter implements Stages {
    private final OperatingSystemMXBean process = (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
    private final LongAdder[] nanos = new LongAdder[Stage.values().length];
    private long wallStart;
    private long cpuStart;

    /** All in milliseconds. {@code write}: what is left when drawing, palettes and dithering are taken away. */
    record Reading(double wall, double cpu, double palette, double dither, double write) {}

    Meter() {
        for (int i = 0; i < nanos.length; i++) {
            nanos[i] = new LongAdder();
        }
    }

    void start() {
        for (LongAdder each : nanos) {
            each.reset();
        }
        cpuStart = process.getProcessCpuTime();
        wallStart = System.nanoTime();
    }

    Reading read() {
        double wall = (System.nanoTime() - wallStart) / 1e6;
        double cpu = (process.getProcessCpuTime() - cpuStart) / 1e6;
        double draw = millis(Stage.DRAW);
        double palette = millis(Stage.PALETTE);
        double dither = millis(Stage.DITHER);
        return new Reading(wall, cpu, palette, dither, Math.max(0, cpu - draw - palette - dither));
    }

    @Override
    public <T> T during(Stage stage, Supplier<T> work) {
        var threads = ManagementFactory.getThreadMXBean();
        long start = threads.getCurrentThreadCpuTime();
        try {
            return work.get();
        } finally {
            nanos[stage.ordinal()].add(threads.getCurrentThreadCpuTime() - start);
        }
    }

    /** @return the most heap that was ever in use, in bytes */
    static long peakHeapBytes() {
        return ManagementFactory.getMemoryPoolMXBeans().stream()
                .filter(pool -> pool.getType() == MemoryType.HEAP)
                .map(MemoryPoolMXBean::getPeakUsage)
                .mapToLong(usage -> usage.getUsed())
                .sum();
    }

    /** @return a line of what Linux says of this process, or 0 elsewhere */
    static long kilobytes(String line) {
        try (Stream<String> status = Files.lines(Path.of("/proc/self/status"))) {
            return status.filter(each -> each.startsWith(line))
                    .map(each -> each.replaceAll("[^0-9]", ""))
                    .mapToLong(Long::parseLong)
                    .findFirst()
                    .orElse(0);
        } catch (IOException e) {
            return 0;
        }
    }

    private double millis(Stage stage) {
        return nanos[stage.ordinal()].sum() / 1e6;
    }
}
