package dobbin.server.data;

import java.nio.file.Path;
import java.util.Locale;
import org.flywaydb.core.Flyway;

/** Gives a database the tables that this version has, for commands: the application does so at its start. */
public final class Migrations {
    private static final String FILE_ADDRESS = "jdbc:h2:file:%s/dobbin";

    /** Of the data file, without a password. */
    public static final String USER = "dobbin";

    private Migrations() {}

    /** @return the address of the data file in that folder; opening it makes one where there is none */
    public static String addressOf(Path folder) {
        return String.format(Locale.ROOT, FILE_ADDRESS, folder);
    }

    public static void bringUp(String address, String user, String password) {
        String kind = H2Store.isAt(address) || H2Store.isServerAt(address) ? "h2" : "postgresql";
        Flyway.configure()
                .dataSource(address, user, password)
                .locations("classpath:db/migration/" + kind, "classpath:db/migration/both")
                .ignoreMigrationPatterns(new String[0])
                .load()
                .migrate();
    }
}
