package dobbin.server.backup;

import dobbin.server.data.DataFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;

/** {@code move-data}: all that a data folder's file holds, into a PostgreSQL database with nothing in it. */
public final class MoveCommand {
    private static final String DATABASE_ADDRESS = "jdbc:postgresql:";
    private static final String USER = "dobbin";

    private MoveCommand() {}

    /**
     * @param folder the data folder, on which no instance runs
     * @param address of the database, {@code jdbc:postgresql://...}
     * @return a sentence on what was done
     * @throws IOException whose message is a sentence on what was not
     */
    public static String run(Path folder, String address) throws IOException {
        return run(
                folder.toAbsolutePath(),
                address,
                Optional.ofNullable(System.getenv("DOBBIN_DATABASE_USER")).orElse(USER),
                Optional.ofNullable(System.getenv("DOBBIN_DATABASE_PASSWORD")).orElse(""),
                System.out::println);
    }

    static String run(Path folder, String address, String user, String password, Consumer<String> told)
            throws IOException {
        if (!address.startsWith(DATABASE_ADDRESS)) {
            throw new IOException("Data are moved to a PostgreSQL database: --to jdbc:postgresql://...");
        }
        if (!Files.exists(folder.resolve(DataFolder.FILE))) {
            throw new IOException("There is no data file in " + folder + ".");
        }
        Optional<String> problem = DataFolder.problemWith(folder);
        if (problem.isPresent()) {
            throw new IOException(problem.get());
        }
        MoveStore.Carried carried = MoveStore.carry(folder, address, user, password, told);
        return "All is there now, compared by hash: " + carried.sentence()
                + ". The folder still has it, too. Start with --data " + folder + " --database " + address + ".";
    }
}
