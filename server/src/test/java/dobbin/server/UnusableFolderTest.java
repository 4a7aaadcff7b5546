package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.data.DataFolder;
import dobbin.server.data.DataStore;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** Data folders that Dobbin cannot start with: each gets a sentence that says what to do, and stays as it is. */
class UnusableFolderTest {
    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve(DataFolder.FILE);
    }

    private void copyTheDataFile() throws IOException {
        try (RunningServer.Stopped stopped = server.stopped()) {
            Files.copy(stopped.data().resolve(DataFolder.FILE), file());
        }
    }

    @Test
    void oneThatAnotherDobbinHasOpenIsLeftAlone() throws IOException {
        Path coming = Files.writeString(server.data().resolve("incoming").resolve("part1"), "half an upload");
        assertThat(DataFolder.problemWith(server.data()))
                .hasValueSatisfying(
                        it -> assertThat(it)
                                .endsWith(
                                        "is open in another instance of Dobbin. Stop that one, or choose another folder with --data."));
        assertThat(coming).as("what is on its way into the other one").exists();
        assertThat(server.get("/api/reels").status()).isEqualTo(200);
    }

    @Test
    void aFileInItsPlace() throws IOException {
        Path file = Files.createFile(folder.resolve("file"));
        assertThat(DataFolder.problemWith(file))
                .hasValueSatisfying(it -> assertThat(it).contains("cannot be made or written to"));
    }

    @Test
    void anEmptyDataFileAndOneThatIsNone() throws IOException {
        Files.createFile(file());
        assertThat(DataFolder.problemWith(folder))
                .hasValueSatisfying(it -> assertThat(it).contains("is empty"));
        Files.writeString(file(), "This is no database at all.");
        assertThat(DataFolder.problemWith(folder))
                .hasValueSatisfying(it -> assertThat(it).contains("is damaged and cannot be opened"));
    }

    @Test
    void oneThatIsDamagedInTheMiddleIsNotOpenedHalf() throws IOException {
        copyTheDataFile();
        try (RandomAccessFile damaged = new RandomAccessFile(file().toFile(), "rw")) {
            byte[] zeros = new byte[(int) damaged.length() - 64];
            damaged.seek(64);
            damaged.write(zeros);
        }
        byte[] before = Files.readAllBytes(file());
        assertThat(sentenceOfStarting())
                .hasValue("The data file is damaged and cannot be opened. Put a backup in its place.");
        assertThat(Files.readAllBytes(file())).isEqualTo(before);
    }

    @Test
    void oneOfALaterVersionIsNotOpened() throws Exception {
        copyTheDataFile();
        try (Connection data = DriverManager.getConnection("jdbc:h2:file:" + folder + "/dobbin", "dobbin", "");
                Statement later = data.createStatement()) {
            later.execute(
                    "INSERT INTO \"flyway_schema_history\" (\"installed_rank\", \"version\", \"description\", \"type\","
                            + " \"script\", \"checksum\", \"installed_by\", \"execution_time\", \"success\")"
                            + " VALUES (1000, '1000', 'later', 'SQL', 'V1000__later.sql', 1, 'dobbin', 1, TRUE)");
        }
        assertThat(sentenceOfStarting())
                .hasValueSatisfying(it -> assertThat(it).startsWith("The data are of another version of Dobbin"));
    }

    private Optional<String> sentenceOfStarting() {
        try {
            DobbinServer.start("--server.port=0", "--dobbin.data-folder=" + folder)
                    .close();
            return Optional.empty();
        } catch (RuntimeException e) {
            Optional<String> sentence = Optional.empty();
            for (Throwable cause = e; cause != null && sentence.isEmpty(); cause = cause.getCause()) {
                sentence = DataStore.whyItCannotBeOpened(cause);
            }
            return sentence;
        }
    }
}
