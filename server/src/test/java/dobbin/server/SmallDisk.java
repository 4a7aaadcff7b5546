package dobbin.server;

import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** A disk in memory that becomes full. Needs to be root. */
public final class SmallDisk implements AutoCloseable {
    private static final int BALLAST_BYTES = 12_000_000;

    private final Path folder;

    private SmallDisk(Path folder) {
        this.folder = folder;
    }

    /** With something on it that {@link #makeRoom} takes away. */
    public static SmallDisk at(Path folder, int megabytes) throws IOException {
        int ended = run("mount", "-t", "tmpfs", "-o", "size=" + megabytes + "m,mode=777", "tmpfs", folder.toString());
        assumeThat(ended).as("a disk of its own could be made").isZero();
        SmallDisk disk = new SmallDisk(folder);
        Files.write(disk.ballast(), new byte[BALLAST_BYTES]);
        return disk;
    }

    public void makeRoom() throws IOException {
        Files.delete(ballast());
    }

    private Path ballast() {
        return folder.resolve("ballast");
    }

    private static int run(String... command) throws IOException {
        try {
            return new ProcessBuilder(command).inheritIO().start().waitFor();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() throws IOException {
        run("umount", "-l", folder.toString());
    }
}
