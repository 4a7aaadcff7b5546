package dobbin.server.data;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.BufferPoolMXBean;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SpoolTest {
    @TempDir
    private Path folder;

    private static long besideTheHeap() {
        return ManagementFactory.getPlatformMXBeans(BufferPoolMXBean.class).stream()
                .filter(pool -> pool.getName().equals("direct"))
                .mapToLong(BufferPoolMXBean::getMemoryUsed)
                .sum();
    }

    /** Sixteen typefaces of 32 MB at once took half a gigabyte there, and kept it. */
    @Test
    void aLargeFileIsReadWithoutMemoryBesideTheHeap() throws Exception {
        byte[] large = new byte[32_000_000];
        new Random(1).nextBytes(large);
        Path file = Files.write(folder.resolve("large"), large);
        long before = besideTheHeap();
        assertThat(Spool.bytes(file)).isEqualTo(large);
        assertThat(besideTheHeap() - before).as("what this thread keeps").isLessThan(1_000_000);
    }
}
