package dobbin.server.backup;

import dobbin.reel.ContentName;
import dobbin.server.data.DataFolder;
import dobbin.server.data.DataStore;
import dobbin.server.people.People;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;

/** A copy of the data file: a zip with that file in it, as the database itself writes it at one moment. */
final class BackupStore {
    private static final String ADDRESS = "jdbc:h2:file:%s/dobbin;ACCESS_MODE_DATA=r;IFEXISTS=TRUE";
    private static final String USER = "dobbin";
    private static final String COUNT = "SELECT COUNT(*) FROM reel WHERE removed_at IS NULL";
    private static final String FILES = """
            SELECT id AS name, bytes FROM picture WHERE base IS NULL AND bytes IS NOT NULL
            UNION ALL SELECT sha256, bytes FROM delivery WHERE sha256 IS NOT NULL AND bytes IS NOT NULL
            UNION ALL SELECT id, bytes FROM typeface""";
    private static final String ELSEWHERE = """
            SELECT (SELECT COUNT(*) FROM picture WHERE bytes IS NULL) + (SELECT COUNT(*) FROM delivery WHERE bytes IS NULL)""";

    private BackupStore() {}

    /**
     * What was found in a copy.
     *
     * @param files pictures, deliveries and typefaces, each of which is what its name says
     * @param inBucket pictures and deliveries that lie in a bucket, and not in the copy
     */
    record Contents(int reels, int files, int inBucket) {
        String sentence() {
            String all = counted(reels, "reel") + " and " + counted(files, "file");
            String checked = files == 0 ? all : all + ", each checked by its hash";
            return inBucket == 0
                    ? checked
                    : checked + ". It does not hold what lies in the bucket: "
                            + counted(inBucket, "picture or delivery", "pictures and deliveries");
        }

        private static String counted(int count, String what) {
            return counted(count, what, what + "s");
        }

        private static String counted(int count, String one, String several) {
            return String.format(Locale.ROOT, "%,d %s", count, count == 1 ? one : several);
        }
    }

    /** Writes a copy of a data file that nobody works with. */
    static void write(Path folder, Path zip) throws IOException {
        try (Connection database = opened(folder);
                Statement statement = database.createStatement()) {
            statement.execute(DataStore.copying(zip));
        } catch (SQLException e) {
            throw unreadable(folder, e);
        }
    }

    /**
     * Unpacks the data file of a copy, and its file of people if there is one.
     *
     * @throws ZipException where it is none
     */
    static void unpack(Path zip, Path folder) throws IOException {
        boolean found = false;
        try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                if (entry.getName().equals(DataFolder.FILE)) {
                    Files.copy(in, folder.resolve(DataFolder.FILE));
                    found = true;
                } else if (entry.getName().equals(People.FILE)) {
                    Files.copy(in, folder.resolve(People.FILE));
                    DataFolder.onlyForTheOwner(folder.resolve(People.FILE));
                }
            }
        }
        if (!found) {
            throw new ZipException("no data file in it");
        }
    }

    /**
     * Opens the data file of a folder and reads all of it.
     *
     * @throws IOException where something in it is not what it was
     */
    static Contents check(Path folder) throws IOException {
        try (Connection database = opened(folder);
                Statement statement = database.createStatement()) {
            int reels = count(statement, COUNT);
            int inBucket = count(statement, ELSEWHERE);
            int files = 0;
            try (ResultSet each = statement.executeQuery(FILES)) {
                for (; each.next(); files++) {
                    check(each.getString("name"), each);
                }
            }
            return new Contents(reels, files, inBucket);
        } catch (SQLException e) {
            throw unreadable(folder, e);
        }
    }

    private static int count(Statement statement, String sql) throws SQLException {
        try (ResultSet counted = statement.executeQuery(sql)) {
            counted.next();
            return counted.getInt(1);
        }
    }

    private static IOException unreadable(Path folder, SQLException e) {
        return new IOException("The data file in " + folder + " is damaged, or of a later version of Dobbin.", e);
    }

    private static void check(String name, ResultSet row) throws SQLException, IOException {
        try (InputStream in = row.getBinaryStream("bytes")) {
            if (!ContentName.of(in.readAllBytes()).equals(name)) {
                throw new IOException("The file " + name + " in the copy is damaged.");
            }
        }
    }

    private static Connection opened(Path folder) throws SQLException {
        return DriverManager.getConnection(String.format(Locale.ROOT, ADDRESS, folder.toAbsolutePath()), USER, "");
    }
}
