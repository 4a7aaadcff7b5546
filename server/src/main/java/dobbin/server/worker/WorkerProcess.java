package dobbin.server.worker;

import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** One worker process, from the server's side. It does one task at a time. */
final class WorkerProcess {
    private static final List<String> JAVA = List.of(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-Xmx192m",
            "-Xss2m",
            "-XX:+UseSerialGC",
            "-XX:TieredStopAtLevel=1",
            "-XX:+ExitOnOutOfMemoryError",
            // One that native code ends leaves no report and no image of its memory in the folder it was started in.
            "-XX:-CreateCoredumpOnCrash",
            "-XX:ErrorFile=/dev/null",
            "-Djava.awt.headless=true");

    /** Of the settings of the server, which may hold passwords, it gets these alone. */
    private static final Set<String> ENVIRONMENT = Set.of("PATH", "LANG", "LC_ALL", "HOME", "TMPDIR", "SystemRoot");

    private final Process process;
    private final DataOutputStream out;
    private final DataInputStream in;

    private WorkerProcess(Process process) {
        this.process = process;
        this.out = new DataOutputStream(new BufferedOutputStream(process.getOutputStream()));
        this.in = new DataInputStream(process.getInputStream());
    }

    /**
     * @param most how much of a processor one task may take
     * @throws IOException where no process can be started
     */
    static WorkerProcess start(Duration most) throws IOException {
        ProcessBuilder builder =
                new ProcessBuilder(new ArrayList<>(JAVA)).redirectError(ProcessBuilder.Redirect.DISCARD);
        builder.command().addAll(mainClass());
        builder.command().add(String.valueOf(most.toMillis()));
        builder.environment().keySet().retainAll(ENVIRONMENT);
        return new WorkerProcess(builder.start());
    }

    /** The classes are those of the server, in folders and jars, or in the one jar that has all others in it. */
    private static List<String> mainClass() {
        String classPath = System.getProperty("java.class.path");
        String ownPlace =
                Worker.class.getProtectionDomain().getCodeSource().getLocation().toString();
        return ownPlace.contains("BOOT-INF")
                ? List.of(
                        "-Dloader.main=" + Worker.class.getName(),
                        "-cp",
                        classPath,
                        "org.springframework.boot.loader.launch.PropertiesLauncher")
                : List.of("-cp", classPath, Worker.class.getName());
    }

    /**
     * Does a task, and waits for it.
     *
     * @throws Unanswered where the file is at fault
     * @throws IOException where the process has ended, see {@link #exitCode}
     */
    byte[] ask(Task task, int number, Content file) throws IOException, Unanswered {
        out.writeByte(task.ordinal());
        out.writeInt(number);
        out.writeInt((int) file.size());
        try (InputStream all = file.open()) {
            all.transferTo(out);
        }
        out.flush();
        int kind = in.readByte();
        byte[] answer = new byte[in.readInt()];
        in.readFully(answer);
        if (kind == Worker.REFUSED) {
            throw new Unanswered(new String(answer, StandardCharsets.UTF_8), null);
        }
        return answer;
    }

    boolean isAlive() {
        return process.isAlive();
    }

    /** @return what a process that has ended has ended with */
    int exitCode() throws InterruptedException {
        return process.waitFor();
    }

    void end() {
        process.destroyForcibly();
    }
}
