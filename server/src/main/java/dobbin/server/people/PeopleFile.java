package dobbin.server.people;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;

/** The file of people of earlier versions: a line each, of a name, a colon, and a hash of the password. */
final class PeopleFile {
    private static final Pattern LINE = Pattern.compile("([^:]+):(\\{\\w+\\}.+)");

    private PeopleFile() {}

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
            if (line.matches() && People.isName(line.group(1))) {
                people.put(line.group(1), line.group(2));
            } else if (!lines.get(i).isBlank()) {
                throw new IOException(
                        "Line " + (i + 1) + " of " + file + " is not a name, a colon and a hash. Remove it,"
                                + " then add that person again with ./dobbin user add NAME.");
            }
        }
        return people;
    }
}
