package dobbin.plate;

import dobbin.raster.Bounds;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.List;

/**
 * Finds how a plate is divided by what it shows between drawings. Pictures that fill their cells are told by runs of drawn
 * rows and columns that are all of one length and equally far apart. Else there are as many cells as leave every line
 * between two of them bare and none of them empty.
 */
final class GridFinder {
    private static final int MOST_CELLS = 40;
    /** Cells that are filled to this share hold pictures. */
    private static final double FILLED = 0.9;

    private static final int ROUNDING = 1;

    private GridFinder() {}

    /** Drawn rows or columns from {@code from} up to {@code to}. */
    private record Run(int from, int to) {
        int length() {
            return to - from;
        }
    }

    private record Axis(int count, int margin, int gutter) {}

    /** @param ink for each pixel, row by row, whether something is drawn there */
    static Grid find(boolean[] ink, Size size) {
        boolean[] columns = drawn(ink, size, true);
        boolean[] rows = drawn(ink, size, false);
        Axis across = ofRuns(columns);
        Axis down = ofRuns(rows);
        if (across != null && down != null && across.count * down.count > 1) {
            Grid pictures = grid(across, down);
            if (isFilled(pictures, ink, size)) {
                return pictures;
            }
        }
        return grid(divided(columns), divided(rows));
    }

    private static Grid grid(Axis across, Axis down) {
        return new Grid(down.count, across.count, across.margin, down.margin, across.gutter, down.gutter);
    }

    private static boolean isFilled(Grid grid, boolean[] ink, Size size) {
        long drawn = 0;
        long all = 0;
        for (Bounds cell : grid.cells(size)) {
            for (int y = cell.top(); y < cell.bottom(); y++) {
                for (int x = cell.left(); x < cell.right(); x++, all++) {
                    drawn += ink[y * size.width() + x] ? 1 : 0;
                }
            }
        }
        return drawn > FILLED * all;
    }

    private static boolean[] drawn(boolean[] ink, Size size, boolean across) {
        boolean[] drawn = new boolean[across ? size.width() : size.height()];
        for (int i = 0; i < ink.length; i++) {
            drawn[across ? i % size.width() : i / size.width()] |= ink[i];
        }
        return drawn;
    }

    /** @return cells that are the runs, where those are even, else null */
    private static Axis ofRuns(boolean[] drawn) {
        List<Run> runs = runs(drawn);
        if (runs.isEmpty() || !isEven(runs, drawn.length)) {
            return null;
        }
        int last = runs.size() - 1;
        int margin = Math.round((runs.get(0).from + drawn.length - runs.get(last).to) / 2f);
        int bare = runs.get(last).to
                - runs.get(0).from
                - runs.stream().mapToInt(Run::length).sum();
        return new Axis(runs.size(), margin, last == 0 ? 0 : Math.round(bare / (float) last));
    }

    private static Axis divided(boolean[] drawn) {
        for (int count = MOST_CELLS; count > 1; count--) {
            if (divides(drawn, count)) {
                return new Axis(count, 0, 0);
            }
        }
        return new Axis(1, 0, 0);
    }

    private static List<Run> runs(boolean[] drawn) {
        List<Run> runs = new ArrayList<>();
        int from = -1;
        for (int i = 0; i <= drawn.length; i++) {
            boolean here = i < drawn.length && drawn[i];
            if (here && from < 0) {
                from = i;
            } else if (!here && from >= 0) {
                runs.add(new Run(from, i));
                from = -1;
            }
        }
        return runs;
    }

    /** Both margins must be alike too, since a grid has one for both. */
    private static boolean isEven(List<Run> runs, int length) {
        Run first = runs.get(0);
        Run last = runs.get(runs.size() - 1);
        double step = (last.from - first.from) / Math.max(1.0, runs.size() - 1);
        for (int i = 0; i < runs.size(); i++) {
            if (Math.abs(runs.get(i).length() - first.length()) > ROUNDING
                    || Math.abs(runs.get(i).from - first.from - i * step) > ROUNDING) {
                return false;
            }
        }
        return Math.abs(first.from - (length - last.to)) <= ROUNDING;
    }

    private static boolean divides(boolean[] drawn, int count) {
        int[] lines = new int[count + 1];
        for (int i = 0; i <= count; i++) {
            lines[i] = (int) Math.round((double) i * drawn.length / count);
        }
        for (int i = 1; i < count; i++) {
            if (drawn[Math.min(lines[i], drawn.length - 1)] || drawn[Math.max(0, lines[i] - 1)]) {
                return false;
            }
        }
        for (int cell = 0; cell < count; cell++) {
            boolean empty = true;
            for (int i = lines[cell]; i < lines[cell + 1]; i++) {
                empty &= !drawn[i];
            }
            if (empty) {
                return false;
            }
        }
        return true;
    }
}
