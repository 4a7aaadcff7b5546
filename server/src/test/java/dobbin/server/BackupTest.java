package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.reel.Reel;
import dobbin.server.backup.BackupCommands;
import dobbin.server.people.People;
import dobbin.server.reels.Reels;
import dobbin.server.reels.Shelf;
import dobbin.server.reels.Shelved;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** Copies that are made while people work, and put back. */
class BackupTest {
    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    @TempDir
    private Path folder;

    private static Path data() {
        return server.dataFile().toPath().getParent();
    }

    private static String backup(Path file) throws IOException {
        return BackupCommands.backup(file, data());
    }

    private static String restore(Path file, Path into) throws IOException {
        return BackupCommands.restore(file, into);
    }

    private static <T> T in(Path folder, Function<ConfigurableApplicationContext, T> look) {
        try (ConfigurableApplicationContext context =
                DobbinServer.start("--server.port=0", "--dobbin.data-folder=" + folder)) {
            return look.apply(context);
        }
    }

    private static List<String> names(Path folder) {
        return in(
                folder,
                it -> it.getBean(Shelf.class).page(0, 200).reels().stream()
                        .map(Shelved::name)
                        .toList());
    }

    @Test
    void aCopyThatIsMadeWhileSomebodyWorksHoldsWhatWasAnswered() throws Exception {
        JsonNode reel = server.reelOf(0xFF101830, 0xFFE06848);
        String id = reel.get("id").asString();
        AtomicBoolean done = new AtomicBoolean();
        CompletableFuture<Integer> working = CompletableFuture.supplyAsync(() -> {
            int edits = 0;
            for (JsonNode now = reel; !done.get(); edits++) {
                now = server.edit(
                                now,
                                "{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":" + (50 + edits % 500) + "}")
                        .json();
            }
            return edits;
        });
        Path file = folder.resolve("copy.zip");
        String said = backup(file);
        done.set(true);
        assertThat(working.join()).isPositive();
        assertThat(said).startsWith(file + " holds ").endsWith(" files, each checked by its hash.");
        Path elsewhere = folder.resolve("elsewhere");
        assertThat(restore(file, elsewhere)).startsWith(elsewhere + " holds ");
        Reel copied = in(elsewhere, it -> it.getBean(Reels.class).open(id).reel());
        assertThat(copied.name()).isEqualTo("Tide");
        assertThat(copied.frames()).hasSize(2);
    }

    @Test
    void ofADatabaseOnAServerNoneIsMade() throws Exception {
        RunningServer elsewhere = new RunningServer().at(H2Server.started().newDatabase());
        elsewhere.beforeAll(null);
        try {
            Path file = folder.resolve("copy.zip");
            assertThatThrownBy(() -> BackupCommands.backup(file, elsewhere.data()))
                    .hasMessage("Copies of a database on a server are made with that"
                            + " server's own tools, such as pg_dump.");
            assertThat(file).doesNotExist();
        } finally {
            elsewhere.afterAll(null);
        }
    }

    @Test
    void whatWasThereBeforeIsKeptBesideWhatIsRestored() throws Exception {
        server.reelOf(0xFF112233);
        Path file = folder.resolve("copy.zip");
        backup(file);
        assertThatThrownBy(() -> backup(file)).hasMessage(file + " is there already. Choose another name.");
        Path elsewhere = folder.resolve("elsewhere");
        in(elsewhere, it -> it.getBean(Reels.class).create(Reel.empty("Of its own")));
        // Nobody has it open any more, so the copy is made here.
        Path other = folder.resolve("other.zip");
        assertThat(BackupCommands.backup(other, elsewhere)).contains("holds 1 reel and 0 files");
        assertThat(restore(file, elsewhere)).contains("What was there is in before-");
        assertThat(names(elsewhere)).isNotEmpty().doesNotContain("Of its own");
        try (Stream<Path> files = Files.list(elsewhere)) {
            assertThat(files.filter(each -> each.getFileName().toString().startsWith("before-")))
                    .hasSize(1);
        }
    }

    @Test
    void aDamagedCopyChangesNothing() throws Exception {
        server.reelOf(0xFF445566);
        Path file = folder.resolve("copy.zip");
        backup(file);
        Path elsewhere = folder.resolve("elsewhere");
        in(elsewhere, it -> it.getBean(Reels.class).create(Reel.empty("Of its own")));
        Files.writeString(file, "GIF89a, and no copy");
        assertThatThrownBy(() -> restore(file, elsewhere))
                .isInstanceOf(IOException.class)
                .hasMessage(file + " is no backup, or is damaged. Nothing was changed.");
        assertThat(names(elsewhere)).containsExactly("Of its own");
    }

    @Test
    void aCopyThatWasCutOffChangesNothing() throws Exception {
        server.reelOf(0xFF667788);
        Path file = folder.resolve("copy.zip");
        backup(file);
        byte[] whole = Files.readAllBytes(file);
        Path elsewhere = folder.resolve("elsewhere");
        in(elsewhere, it -> it.getBean(Reels.class).create(Reel.empty("Of its own")));
        for (int length : new int[] {whole.length / 2, whole.length - 3_000}) {
            Files.write(file, Arrays.copyOf(whole, length));
            assertThatThrownBy(() -> restore(file, elsewhere))
                    .hasMessage(file + " is no backup, or is damaged. Nothing was changed.");
        }
        assertThat(names(elsewhere)).containsExactly("Of its own");
    }

    @Test
    void onlyWhoCanReadTheDataFolderGetsACopyAndARunningOneIsNotOverwritten() throws Exception {
        assertThat(server.post("/api/backup", "").status()).isEqualTo(404);
        assertThat(Files.getPosixFilePermissions(data().resolve("running.properties")))
                .isEqualTo(PosixFilePermissions.fromString("rw-------"));
        Path file = folder.resolve("copy.zip");
        backup(file);
        assertThatThrownBy(() -> restore(file, data())).hasMessageContaining("is open in another instance of Dobbin");
    }

    private static List<String> people(Path folder) {
        return in(folder, it -> it.getBean(People.class).names());
    }

    @Test
    void peopleComeAlong() throws Exception {
        Path from = Files.createDirectories(folder.resolve("from"));
        Files.writeString(from.resolve("people"), "Mara:{noop}the lamp of Mara\n");
        assertThat(people(from)).containsExactly("Mara");
        Path file = folder.resolve("copy.zip");
        BackupCommands.backup(file, from);
        Path into = Files.createDirectories(folder.resolve("into"));
        restore(file, into);
        assertThat(people(into)).containsExactly("Mara");
    }

    /** As the data folder of an earlier version, which was never started with this one. */
    @Test
    void theFileOfPeopleOfAnEarlierVersionComesAlong() throws Exception {
        Path from = Files.createDirectories(folder.resolve("from"));
        in(from, it -> it.getBean(Reels.class).create(Reel.empty("Tide")));
        Files.writeString(from.resolve("people"), "Mara:{noop}the lamp of Mara\n");
        Path file = folder.resolve("copy.zip");
        BackupCommands.backup(file, from);
        Path into = Files.createDirectories(folder.resolve("into"));
        Files.writeString(into.resolve("people"), "Ebbe:{noop}the lamp of Ebbe\n");
        restore(file, into);
        assertThat(into.resolve("people")).hasContent("Mara:{noop}the lamp of Mara\n");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(into.resolve("people"))))
                .isEqualTo("rw-------");
        try (Stream<Path> files = Files.list(into)) {
            assertThat(files.filter(each -> each.toString().matches(".*before-.*\\.people")))
                    .singleElement()
                    .satisfies(each -> assertThat(each).hasContent("Ebbe:{noop}the lamp of Ebbe\n"));
        }
        assertThat(people(into)).containsExactly("Mara");
    }
}
