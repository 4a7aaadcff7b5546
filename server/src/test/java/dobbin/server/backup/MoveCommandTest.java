package dobbin.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.server.Postgres;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** A data folder that an earlier version left, moved to PostgreSQL. What is served from there is {@code MovedDataTest}'s. */
class MoveCommandTest {
    @TempDir
    private Path folder;

    private final String address = Postgres.started().newDatabase();
    private final JdbcTemplate there = database(address);

    @BeforeEach
    void thaw() throws IOException {
        try (InputStream frozen = MoveCommandTest.class.getResourceAsStream("/folders/V7.zip");
                ZipInputStream zip = new ZipInputStream(frozen)) {
            Files.copy(zip, folder.resolve(zip.getNextEntry().getName()));
        }
    }

    private static JdbcTemplate database(String address) {
        return new JdbcTemplate(new DriverManagerDataSource(address, "dobbin", ""));
    }

    private String move(List<String> told) throws IOException {
        return MoveCommand.run(folder, address, "dobbin", "", told::add);
    }

    @Test
    void everyTableIsCarriedOverAndComparedByHash() throws Exception {
        List<String> told = new ArrayList<>();
        assertThat(move(told)).contains("compared by hash", "--database " + address);
        assertThat(told).anyMatch(line -> line.matches("picture: \\d+ rows, [\\d,]+ bytes, the same there"));
        JdbcTemplate here = database("jdbc:h2:file:" + folder + "/dobbin");
        for (String table : List.of("reel", "step", "picture", "delivery", "trial", "palette")) {
            String count = "SELECT COUNT(*) FROM " + table;
            assertThat(there.queryForObject(count, Integer.class))
                    .as(table)
                    .isEqualTo(here.queryForObject(count, Integer.class));
        }
        String last = "SELECT MAX(serial) FROM step";
        assertThat(there.queryForObject("SELECT nextval('step_serial')", Long.class))
                .as("steps are counted on")
                .isGreaterThan(there.queryForObject(last, Long.class));
    }

    @Test
    void whereSomethingArrivesThatWasNotSentNothingIsKept() throws Exception {
        move(new ArrayList<>());
        there.execute("TRUNCATE reel, step, picture, delivery, trial, palette, typeface, brought CASCADE");
        there.execute("CREATE FUNCTION spoil() RETURNS trigger LANGUAGE plpgsql AS"
                + " 'BEGIN NEW.title := NEW.title || ''!''; RETURN NEW; END'");
        there.execute("CREATE TRIGGER spoiled BEFORE INSERT ON step FOR EACH ROW EXECUTE FUNCTION spoil()");
        assertThatThrownBy(() -> move(new ArrayList<>()))
                .isInstanceOf(IOException.class)
                .hasMessageStartingWith("What arrived in the table step is not what was sent.");
        assertThat(there.queryForObject("SELECT COUNT(*) FROM picture", Integer.class))
                .isZero();
    }

    @Test
    void aDatabaseThatHasDataIsRefused() throws Exception {
        move(new ArrayList<>());
        assertThatThrownBy(() -> move(new ArrayList<>()))
                .hasMessage("The database has data already. Choose one with nothing in it.");
    }

    @Test
    void whatCannotBeMovedIsSaid(@TempDir Path empty) {
        assertThatThrownBy(() -> MoveCommand.run(empty, address, "dobbin", "", line -> {}))
                .hasMessage("There is no data file in " + empty + ".");
        assertThatThrownBy(() -> MoveCommand.run(folder, "jdbc:h2:mem:", "dobbin", "", line -> {}))
                .hasMessage("Data are moved to a PostgreSQL database: --to jdbc:postgresql://...");
        assertThatThrownBy(() -> MoveCommand.run(folder, address + "x", "dobbin", "", line -> {}))
                .hasMessageStartingWith("The database does not let Dobbin in.");
    }
}
