package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import dobbin.server.Bench;
import dobbin.server.Postgres;
import dobbin.server.SmallDisk;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A disk that becomes full: that of the data folder, with the usual reserve, where Dobbin refuses in time, and with none, where the
 * database meets the edge in the middle of a write; and that of PostgreSQL. Needs to be root, for the disk. Not a test of every run:
 * {@code -Dtest=FullDiskBench}.
 */
@Bench
class FullDiskBench {
    private static final Size NOISE = new Size(600, 400);
    private static final int MOST_UPLOADS = 1_000;
    private static final int DISK_MB = 60;
    /** An empty PostgreSQL with an empty Dobbin in it takes 80 of them. */
    private static final int POSTGRESQL_DISK_MB = 200;

    @TempDir
    private Path folder;

    private Api api;
    private RenamedReel reel;

    @ParameterizedTest
    @ValueSource(strings = {"32MB", "0B"})
    void ofTheDataFolder(String reserve) throws Exception {
        try (SmallDisk disk = SmallDisk.at(folder, DISK_MB);
                App app = App.start(folder.resolve("data"), "--dobbin.disk-reserve=" + reserve)) {
            becomeFull(app);
            edit();
            look();
            app.kill();
            app.startAgain();
            look();
            disk.makeRoom();
            goOn();
        }
    }

    /** Where it cannot write its log, PostgreSQL ends by itself, and somebody has to start it again. */
    @Test
    void ofPostgresql(@TempDir Path data) throws Exception {
        try (SmallDisk disk = SmallDisk.at(folder, POSTGRESQL_DISK_MB)) {
            Postgres postgres = Postgres.in(Files.createDirectory(folder.resolve("postgresql")));
            try (App app = App.start(data, "--dobbin.database=" + postgres.newDatabase())) {
                becomeFull(app);
                edit();
                disk.makeRoom();
                postgres.restart();
                goOn();
                app.kill();
                app.startAgain();
                look();
            } finally {
                postgres.stop();
            }
        }
    }

    private void becomeFull(App app) throws IOException {
        api = new Api(app.address());
        reel = new RenamedReel(api);
        String refusal = fill();
        System.out.println("refused: " + refusal);
        assertThat(refusal).contains("The disk is full").contains("do this again");
    }

    private void goOn() throws IOException {
        look();
        edit();
        api.upload("After.png", Stills.noise(NOISE, -1));
        look();
        System.out.println("revision " + reel.revision() + " after room was made");
    }

    /** @return the sentence of the first refusal */
    private String fill() throws IOException {
        for (int i = 0; i < MOST_UPLOADS; i++) {
            try {
                api.upload("Tide " + i + ".png", Stills.noise(NOISE, i));
                edit();
            } catch (Api.Refused e) {
                return e.getMessage();
            }
        }
        throw new AssertionError("The disk never became full");
    }

    /** Where it is refused, nothing has changed. */
    private void edit() throws IOException {
        try {
            reel.edit();
        } catch (Api.Refused e) {
            System.out.println("an edit: " + e.getMessage());
            assertThat(e.status).isIn(503, 507);
        }
    }

    private void look() throws IOException {
        reel.assertAllIsThere();
        assertThat(api.get("/api/reels").get("reels")).hasSize(1);
    }
}
