package dobbin.server.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.server.CannotStart;
import dobbin.server.people.People;
import dobbin.server.people.PeopleStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
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

    private PasswordCheck door(Environment settings) {
        SingleConnectionDataSource database = new SingleConnectionDataSource("jdbc:h2:mem:doors", "", "", true);
        JdbcClient jdbc = JdbcClient.create(database);
        jdbc.sql("CREATE TABLE IF NOT EXISTS door (hash VARCHAR(200))").update();
        jdbc.sql("CREATE TABLE IF NOT EXISTS users (username VARCHAR(40))").update();
        TransactionTemplate transaction = new TransactionTemplate(new DataSourceTransactionManager(database));
        try (PeopleStore people = PeopleStore.opened("jdbc:h2:mem:doors", "", "")) {
            return new PasswordCheck(settings, new People(people, folder), new PasswordHashStore(jdbc, transaction));
        } finally {
            database.destroy();
        }
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
        assertThatThrownBy(() -> door(listeningAt(address)))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("DOBBIN_PASSWORD_FILE")
                .hasMessageContaining("--address 127.0.0.1");
        Environment settings = settings(Map.of("server.address", address, "dobbin.password", "Six lamps"));
        assertThat(Password.problemWith(settings)).isEmpty();
        assertThat(door(settings).isOpen()).isFalse();
    }

    @Test
    void aFileTellsIt() throws Exception {
        Path file = Files.writeString(folder.resolve("password"), "Six lamps, one beam\n");
        Environment settings = listeningEverywhere("dobbin.password-file", file.toString());
        assertThat(Password.problemWith(settings)).isEmpty();
        PasswordCheck door = door(settings);
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
