package dobbin.server.entry;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.people.People;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.core.env.Environment;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.env.StandardEnvironment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.transaction.support.TransactionTemplate;

class PasswordTest {
    @TempDir
    private Path folder;

    private static Environment listeningAt(String address) {
        return settings(Map.of("server.address", address));
    }

    private static Environment listeningEverywhere(String setting, String value) {
        return settings(Map.of("server.address", "0.0.0.0", setting, value));
    }

    private static Environment settings(Map<String, Object> values) {
        StandardEnvironment settings = new StandardEnvironment();
        settings.getPropertySources().addFirst(new MapPropertySource("test", values));
        return settings;
    }

    private Door door(Environment settings) {
        DataSource database = new SingleConnectionDataSource("jdbc:h2:mem:", true);
        JdbcClient jdbc = JdbcClient.create(database);
        jdbc.sql("CREATE TABLE door (hash VARCHAR(200))").update();
        TransactionTemplate transaction = new TransactionTemplate(new DataSourceTransactionManager(database));
        return new Door(settings, new People(folder), new DoorStore(jdbc, transaction));
    }

    @ParameterizedTest
    @ValueSource(strings = {"127.0.0.1", "::1", "localhost"})
    void onThisMachineNoneIsNeeded(String address) throws Exception {
        assertThat(Password.problemWith(listeningAt(address))).isEmpty();
        assertThat(door(listeningAt(address)).isOpen()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"0.0.0.0", "::", "192.0.2.7", "", "no such name."})
    void anywhereElseDobbinDoesNotStartWithoutOne(String address) {
        assertThat(Password.problemWith(listeningAt(address)))
                .hasValueSatisfying(
                        it -> assertThat(it).contains("DOBBIN_PASSWORD_FILE").contains("--address 127.0.0.1"));
        assertThat(Password.problemWith(settings(Map.of("server.address", address, "dobbin.password", "Six lamps"))))
                .isEmpty();
    }

    @Test
    void aFileTellsIt() throws Exception {
        Path file = Files.writeString(folder.resolve("password"), "Six lamps, one beam\n");
        Environment settings = listeningEverywhere("dobbin.password-file", file.toString());
        assertThat(Password.problemWith(settings)).isEmpty();
        Door door = door(settings);
        assertThat(door.isOpen()).isFalse();
        assertThat(door.opened("", "Six lamps, one beam")).isPresent();
        assertThat(door.opened("", "Six lamps, one bean")).isEmpty();
        assertThat(door.opened("", "")).isEmpty();
        Files.delete(file);
        assertThat(Password.problemWith(settings))
                .hasValueSatisfying(
                        it -> assertThat(it).contains(file.toString()).contains("cannot be read"));
    }

    @Test
    void itIsLongEnoughAndNoArgument() {
        assertThat(Password.problemWith(listeningEverywhere("dobbin.password", "sixlamp")))
                .contains("The password must have at least 8 characters.");
        assertThat(Password.problemWith(listeningEverywhere("dobbin.password", "lamp".repeat(19))))
                .contains("The password must have at most 72 bytes.");
        for (String told : new String[] {
            "--dobbin.password=Six lamps", "--dobbin.database-password=x", "--spring.datasource.password=x"
        }) {
            assertThat(Password.problemWith("--server.port=1", told))
                    .hasValueSatisfying(it -> assertThat(it).startsWith("A password as an argument"));
        }
        assertThat(Password.problemWith("--dobbin.password-file=x")).isEmpty();
    }
}
