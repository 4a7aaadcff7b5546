package dobbin.reel;

import java.util.List;

/**
 * What all cut-outs of a reel, or of a group, come to together, those in groups included. Each number of a cut-out has a range; what they
 * multiply to has one, too.
 *
 * @param parts the pictures, words and shapes they are made of, those of a cycle counted each
 * @param drawn how many are drawn on a frame at most, one of a cycle
 * @param letters of all words
 * @param places the poses that are set, and the frames for which something else is kept
 */
record CutoutTotals(long parts, long drawn, long letters, long places) {
    private static final CutoutTotals NONE = new CutoutTotals(0, 0, 0, 0);

    static CutoutTotals of(List<Cutout> cutouts) {
        return cutouts.stream().map(CutoutTotals::of).reduce(NONE, CutoutTotals::and);
    }

    private static CutoutTotals of(Cutout cutout) {
        long places = (long) cutout.keys().size()
                + cutout.away().size()
                + cutout.shows().size();
        return cutout.art()
                .match(
                        cycle -> new CutoutTotals(cycle.parts(), 1, 0, 0),
                        words -> new CutoutTotals(1, 1, words.text().length(), 0),
                        shape -> new CutoutTotals(1, 1, 0, 0),
                        group -> of(group.members()))
                .and(new CutoutTotals(0, 0, 0, places));
    }

    private CutoutTotals and(CutoutTotals other) {
        return new CutoutTotals(
                parts + other.parts, drawn + other.drawn, letters + other.letters, places + other.places);
    }

    /**
     * @param field that names the cut-outs
     * @param frames of the reel; 0 where they are not known yet
     * @throws OutOfRange where it is too much
     */
    void check(String field, int frames) {
        check(field, "be made of", parts, Ranges.MAX_CUTOUT_PARTS, "pictures, words and shapes");
        check(field, "have", letters, Ranges.MAX_CUTOUT_LETTERS, "letters in all their words");
        check(field, "have", places, Ranges.MAX_CUTOUT_PLACES, "poses and other things kept for a frame");
        check(field, "be drawn", frames * drawn, Ranges.MAX_CUTOUTS_DRAWN, "times on all frames together");
    }

    private static void check(String field, String verb, long count, int most, String what) {
        if (count > most) {
            throw new OutOfRange(field, "must " + verb + " at most " + most + " " + what + ", and not " + count);
        }
    }
}
