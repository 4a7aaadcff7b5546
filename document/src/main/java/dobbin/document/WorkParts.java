package dobbin.document;

import dobbin.still.FileKind;
import java.util.regex.Pattern;

/** What the parts of a working file are called. */
final class WorkParts {
    static final String REEL = "reel.json";
    static final String HISTORY = "history.json";

    private static final String PICTURES = "pictures/";
    private static final String TYPEFACES = "typefaces/";
    private static final Pattern OF_A_FILE = Pattern.compile("(pictures|typefaces)/[0-9a-f]{64}\\.[a-z]{3,4}");
    private static final Pattern OF_A_STEP = Pattern.compile("history/(0|[1-9][0-9]{0,6})\\.json");

    private WorkParts() {}

    static boolean isOne(String name) {
        return name.equals(REEL)
                || name.equals(HISTORY)
                || OF_A_STEP.matcher(name).matches()
                || OF_A_FILE.matcher(name).matches();
    }

    /** @return whether programs that pack folders make such a part for a folder; it holds nothing */
    static boolean isFolder(String name) {
        return name.equals(PICTURES) || name.equals(TYPEFACES) || name.equals("history/");
    }

    static String step(int number) {
        return "history/" + number + ".json";
    }

    /** @return the name without its ending, which only tells programs what they open */
    static String picture(String sha256) {
        return PICTURES + sha256;
    }

    static String picture(String sha256, byte[] file) {
        return picture(sha256) + "." + FileKind.of(file).ending();
    }

    static String typeface(String sha256) {
        return TYPEFACES + sha256;
    }

    static String typeface(String sha256, byte[] file) {
        boolean cubic = file.length > 0 && file[0] == 'O';
        return typeface(sha256) + (cubic ? ".otf" : ".ttf");
    }

    /** @return the name without its ending */
    static String stem(String name) {
        return name.substring(0, name.lastIndexOf('.'));
    }
}
