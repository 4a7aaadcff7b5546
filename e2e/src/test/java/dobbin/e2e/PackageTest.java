package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What {@code ./dobbin package} makes, unpacked into empty folders and run where nothing is on the path but these programs. */
@Tag("long")
@Tag("alone")
class PackageTest {
    private static final List<String> CORE_UTILITIES = List.of("cat", "dirname", "env", "mktemp", "readlink", "rm");
    private static final Path MADE = Path.of("../target/package").toAbsolutePath();

    @TempDir
    static Path scratch;

    private static Path zip;
    private static Path debian;
    private static Path stills;

    @BeforeAll
    static void unpackBoth() throws Exception {
        done(Map.of(), "bash", "../dobbin", "package");
        Path all = Files.createDirectory(scratch.resolve("zip"));
        done(Map.of(), "bash", "-c", "cd " + all + " && " + javaHome().resolve("bin/jar") + " -xf " + made(".zip"));
        zip = all.resolve("dobbin-1.0.0/bin/dobbin");
        Path system = scratch.resolve("system");
        done(Map.of(), "dpkg-deb", "-x", made(".deb"), system.toString());
        debian = system.resolve("usr/bin/dobbin");

        Path programs = Files.createDirectory(scratch.resolve("programs"));
        for (String name : CORE_UTILITIES) {
            Files.createSymbolicLink(programs.resolve(name), Path.of("/usr/bin", name));
        }
        stills = Files.createDirectory(scratch.resolve("stills"));
        for (int i = 0; i < 3; i++) {
            BufferedImage still = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
            still.createGraphics().drawOval(4 * i, 3 * i, 12, 12);
            still.setRGB(i, 0, Color.RED.getRGB());
            ImageIO.write(still, "png", stills.resolve(i + ".png").toFile());
        }
    }

    private static Path javaHome() {
        return Path.of(System.getProperty("java.home"));
    }

    private static String made(String ending) throws IOException {
        try (Stream<Path> all = Files.list(MADE)) {
            return all.map(Path::toString)
                    .filter(name -> name.endsWith(ending))
                    .findFirst()
                    .orElseThrow();
        }
    }

    private static Process begun(Map<String, String> environment, List<String> command) throws IOException {
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        if (!environment.isEmpty()) {
            builder.environment().clear();
            builder.environment().putAll(environment);
        }
        Process process = builder.start();
        process.getOutputStream().close();
        return process;
    }

    /** @return what it said */
    private static String done(Map<String, String> environment, String... command)
            throws IOException, InterruptedException {
        Process process = begun(environment, List.of(command));
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
        return said;
    }

    private static Map<String, String> withJava() {
        return Map.of(
                "PATH",
                scratch.resolve("programs").toString(),
                "JAVA_HOME",
                javaHome().toString());
    }

    private static Map<String, String> withoutJava() {
        return Map.of("PATH", scratch.resolve("programs").toString());
    }

    private static byte[] gif(Path launcher, Map<String, String> environment) throws Exception {
        Path out = Files.createTempFile(scratch, "made", ".gif");
        done(environment, "/bin/sh", launcher.toString(), "make", stills.toString(), out.toString());
        return Files.readAllBytes(out);
    }

    @Test
    void bothMakeTheSameGifAsTheSources() throws Exception {
        Path out = scratch.resolve("sources.gif");
        done(Map.of(), "bash", "../dobbin", "make", stills.toString(), out.toString());
        byte[] expected = Files.readAllBytes(out);
        assertThat(expected).startsWith("GIF89a".getBytes(StandardCharsets.US_ASCII));
        assertThat(gif(zip, withJava())).isEqualTo(expected);
        assertThat(gif(debian, withoutJava())).isEqualTo(expected);
    }

    @Test
    void bothServeThePageAndKeepTheirDataInThePersonsFolder() throws Exception {
        for (Started started : List.of(new Started(zip, withJava()), new Started(debian, withoutJava()))) {
            try (started;
                    InputStream page = started.page().toURL().openStream()) {
                assertThat(new String(page.readAllBytes(), StandardCharsets.UTF_8))
                        .contains("<title>Dobbin</title>");
                assertThat(started.home.resolve(".local/share/dobbin/dobbin.mv.db"))
                        .exists();
            }
        }
    }

    @Test
    void startedFromTheMenuASecondTimeItOpensThePageOfTheFirst() throws Exception {
        Path opened = scratch.resolve("opened");
        Path opener =
                Files.writeString(scratch.resolve("programs/xdg-open"), "#!/bin/sh\necho \"$1\" >>'" + opened + "'\n");
        assertThat(opener.toFile().setExecutable(true)).isTrue();
        try (Started first = new Started(debian, withoutJava())) {
            URI page = first.page();
            done(first.environment, "/bin/sh", debian.toString(), "start", "--browser");
            await(() -> Files.exists(opened) && Files.size(opened) > 0);
            assertThat(opened).hasContent(page.toString());
        }
    }

    private interface Check {
        boolean holds() throws IOException;
    }

    private static void await(Check check) throws Exception {
        for (int i = 0; i < 300 && !check.holds(); i++) {
            Thread.sleep(100);
        }
    }

    /** A server that was started by a package, in a home folder with nothing in it. */
    private static final class Started implements AutoCloseable {
        private final Path home = Files.createTempDirectory(scratch, "home");
        private final Map<String, String> environment = new HashMap<>();
        private final Process process;

        Started(Path launcher, Map<String, String> environment) throws IOException {
            this.environment.putAll(environment);
            this.environment.put("HOME", home.toString());
            process = begun(this.environment, List.of("/bin/sh", launcher.toString(), "start", "--port", "0"));
        }

        /** @return its page, once it is there */
        URI page() throws IOException {
            BufferedReader lines = process.inputReader(StandardCharsets.UTF_8);
            StringBuilder said = new StringBuilder();
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                said.append(line).append('\n');
                if (line.contains("Dobbin is ready: ")) {
                    return URI.create(line.substring(line.indexOf("http")));
                }
            }
            throw new AssertionError("It did not start: " + said);
        }

        @Override
        public void close() {
            process.destroy();
            process.onExit().join();
        }
    }

    @Test
    void withoutJavaTheZipSaysWhatItNeeds() throws Exception {
        Process process = begun(withoutJava(), List.of("/bin/sh", zip.toString(), "--version"));
        assertThat(new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                .isEqualTo(
                        "Dobbin needs Java 17 or newer, and there is no java. Install it, or set JAVA_HOME to where it lies.\n");
        assertThat(process.waitFor()).isEqualTo(3);
    }

    @Test
    void theDebianPackageHasAnEntryInTheMenuAndAServiceThatIsNotEnabled() throws Exception {
        String contents = done(Map.of(), "dpkg-deb", "-c", made(".deb"));
        assertThat(contents)
                .contains("./usr/share/applications/dobbin.desktop", "./lib/systemd/system/dobbin.service")
                .contains("./usr/share/doc/dobbin/parts/server.cdx.json")
                .doesNotContain("multi-user.target");
        assertThat(done(withoutJava(), "/bin/sh", debian.toString(), "--version"))
                .isEqualTo("Dobbin 1.0.0\n");
    }

    @Test
    void theSameBuildIsPackedIntoTheSameBytes() throws Exception {
        byte[] first = Files.readAllBytes(Path.of(made(".zip")));
        byte[] firstDebian = Files.readAllBytes(Path.of(made(".deb")));
        done(Map.of(), "bash", "../dobbin", "package");
        assertThat(Files.mismatch(Files.write(scratch.resolve("first.zip"), first), Path.of(made(".zip"))))
                .isEqualTo(-1);
        assertThat(Files.mismatch(Files.write(scratch.resolve("first.deb"), firstDebian), Path.of(made(".deb"))))
                .isEqualTo(-1);
    }
}
