package dobbin.lettering;

import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * What people take for single letters: a sign with its marks, or an emoji of several signs (the extended grapheme clusters of
 * Unicode Standard Annex 29).
 */
final class Letters {
    private static final Pattern CLUSTER = Pattern.compile("\\X");

    private Letters() {}

    /** @return how many letters there are, blanks not counted */
    static int count(String text) {
        return (int) CLUSTER.matcher(text)
                .results()
                .filter(each -> !each.group().isBlank())
                .count();
    }

    /** @return for each character of the text, where the letter begins that it belongs to */
    static int[] beginnings(String text) {
        int[] beginnings = IntStream.range(0, text.length()).toArray();
        for (MatchResult letter : CLUSTER.matcher(text).results().toList()) {
            for (int i = letter.start(); i < letter.end(); i++) {
                beginnings[i] = letter.start();
            }
        }
        return beginnings;
    }
}
