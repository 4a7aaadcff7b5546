package dobbin.server.people;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;

/** The file of people in a data folder: a line each, of a name, a colon, and a hash of the password. */
final class PeopleFile {

    private static final Pattern LINE = Pattern.compile("([^:]+):(\\{\\w+\\}.+)");
    private static final Pattern A_NAME = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{M}\\p{N} ._-]{0,39}(?<! )");

    private PeopleFile() {}

    static boolean isName(String text) {
        return A_NAME.matcher(text).matches();
    }

    /**
     * @return hashes by name; none where there is no file
     * @throws IOException whose message is a sentence, where the file is not as it should be
     */
    static Map<String, String> read(Path folder) throws IOException {
        Path file = folder.resolve(People.FILE);
        Map<String, String> people = new TreeMap<>();
        if (!Files.exists(file)) {
            return people;
        }
        List<String> lines;
        try {
            lines = Files.readAllLines(file, StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IOException("The file " + file + " cannot be read. See that Dobbin may read it.", e);
        }
        for (int i = 0; i < lines.size(); i++) {
            var line = LINE.matcher(lines.get(i));
            if (line.matches() && isName(line.group(1))) {
                people.put(line.group(1), line.group(2));
            } else if (!lines.get(i).isBlank()) {
                throw new IOException(
                        "Line " + (i + 1) + " of " + file + " is not a name, a colon and a hash. Remove it,"
                                + " then add that person again with ./dobbin user add NAME.");
            }
        }
        return people;
    }

    /** Writes the file anew, whole or not at all; its owner alone may read it. */
    static void write(Path folder, Map<String, String> people) throws IOException {
        Path part = folder.resolve("." + People.FILE + ".part");
        Files.deleteIfExists(part);
        Files.createFile(part);
        People.onlyForTheOwner(part);
        StringBuilder lines = new StringBuilder();
        people.forEach(
                (name, hash) -> lines.append(name).append(':').append(hash).append('\n'));
        Files.writeString(part, lines);
        Files.move(
                part, folder.resolve(People.FILE), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }
}
