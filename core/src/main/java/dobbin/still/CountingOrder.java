package dobbin.still;

import java.util.Comparator;

/**
 * Orders names as people count: runs of digits by their value (2 before 10), letters without regard to case. Names that
 * differ only in leading zeros or in case keep a fixed order, so sorting is the same everywhere.
 */
public final class CountingOrder implements Comparator<String> {
    public static final Comparator<String> OF_NAMES = new CountingOrder().thenComparing(Comparator.naturalOrder());

    private CountingOrder() {}

    @Override
    public int compare(String a, String b) {
        int i = 0;
        int j = 0;
        while (i < a.length() && j < b.length()) {
            int order;
            if (isDigit(a.charAt(i)) && isDigit(b.charAt(j))) {
                int endA = digitsEnd(a, i);
                int endB = digitsEnd(b, j);
                order = compareDigits(a, i, endA, b, j, endB);
                i = endA;
                j = endB;
            } else {
                order = Character.compare(folded(a.charAt(i++)), folded(b.charAt(j++)));
            }
            if (order != 0) {
                return order;
            }
        }
        return Integer.compare(a.length() - i, b.length() - j);
    }

    private static int compareDigits(String a, int startA, int endA, String b, int startB, int endB) {
        int i = skipZeros(a, startA, endA);
        int j = skipZeros(b, startB, endB);
        int order = Integer.compare(endA - i, endB - j);
        for (; order == 0 && i < endA; i++, j++) {
            order = Character.compare(a.charAt(i), b.charAt(j));
        }
        return order;
    }

    private static int skipZeros(String text, int start, int end) {
        int at = start;
        while (at < end && text.charAt(at) == '0') {
            at++;
        }
        return at;
    }

    private static int digitsEnd(String text, int start) {
        int at = start;
        while (at < text.length() && isDigit(text.charAt(at))) {
            at++;
        }
        return at;
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private static char folded(char c) {
        return Character.toLowerCase(Character.toUpperCase(c));
    }
}
