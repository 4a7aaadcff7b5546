package dobbin.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.DobbinServer;
import dobbin.server.backup.BackupStore.Contents;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** A copy a day, each of which can be opened; the oldest go. */
class DailyCopiesTest {
    @TempDir
    private Path folder;

    private List<String> copies() throws IOException {
        try (Stream<Path> files = Files.list(folder.resolve("copies"))) {
            return files.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void soManyAreKeptAndNothingElseIsTouched() throws IOException {
        Files.createDirectories(folder.resolve("copies"));
        Files.writeString(folder.resolve("copies").resolve("notes.txt"), "mine");
        try (ConfigurableApplicationContext server = SpringApplication.run(
                DobbinServer.class,
                "--server.port=0",
                "--dobbin.data-folder=" + folder.resolve("data"),
                "--dobbin.copies-folder=" + folder.resolve("copies"),
                "--dobbin.copies-kept=2")) {
            DailyCopies daily = server.getBean(DailyCopies.class);
            for (int day = 1; day <= 3; day++) {
                daily.copy(LocalDate.of(2026, 3, day));
            }
            byte[] last = Files.readAllBytes(folder.resolve("copies/dobbin-2026-03-03.zip"));
            daily.copy(LocalDate.of(2026, 3, 3));
            assertThat(copies()).containsExactly("dobbin-2026-03-02.zip", "dobbin-2026-03-03.zip", "notes.txt");
            assertThat(Files.readAllBytes(folder.resolve("copies/dobbin-2026-03-03.zip")))
                    .as("one a day")
                    .isEqualTo(last);
        }
        Path unpacked = Files.createDirectories(folder.resolve("unpacked"));
        BackupStore.unpack(folder.resolve("copies/dobbin-2026-03-03.zip"), unpacked);
        Contents found = BackupStore.check(unpacked);
        assertThat(found.sentence()).isEqualTo("0 reels and 0 files");
    }

    @Test
    void aFolderThatIsNotThereIsNoEndOfAnything() throws IOException {
        Path file = Files.createFile(folder.resolve("copies"));
        try (ConfigurableApplicationContext server = SpringApplication.run(
                DobbinServer.class,
                "--server.port=0",
                "--dobbin.data-folder=" + folder.resolve("data"),
                "--dobbin.copies-folder=" + file)) {
            server.getBean(DailyCopies.class).copy(LocalDate.of(2026, 3, 1));
            assertThat(file).isEmptyFile();
            assertThat(server.isActive()).isTrue();
        }
    }
}
