package dobbin.plate;

import dobbin.raster.Bounds;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Drawings as one reads them: row by row, each from the left; or column by column, each from the top. */
final class ReadingOrder {
    private ReadingOrder() {}

    static List<Bounds> of(List<Bounds> parts, boolean columnsFirst) {
        return columnsFirst
                ? rows(parts.stream().map(ReadingOrder::turned).toList()).stream()
                        .map(ReadingOrder::turned)
                        .toList()
                : rows(parts);
    }

    private static List<Bounds> rows(List<Bounds> parts) {
        List<Bounds> waiting = new ArrayList<>(parts);
        waiting.sort(Comparator.comparingInt(part -> part.top() + part.bottom()));
        List<Bounds> ordered = new ArrayList<>();
        while (!waiting.isEmpty()) {
            Bounds first = waiting.get(0);
            List<Bounds> row = new ArrayList<>();
            for (Bounds part : waiting) {
                if (isBeside(first, part)) {
                    row.add(part);
                }
            }
            waiting.removeAll(row);
            row.sort(Comparator.comparingInt(Bounds::left));
            ordered.addAll(row);
        }
        return ordered;
    }

    /** @return whether the middle of either lies in the height of the other */
    private static boolean isBeside(Bounds a, Bounds b) {
        int middleA = (a.top() + a.bottom()) / 2;
        int middleB = (b.top() + b.bottom()) / 2;
        return middleA >= b.top() && middleA < b.bottom() || middleB >= a.top() && middleB < a.bottom();
    }

    private static Bounds turned(Bounds part) {
        return new Bounds(part.top(), part.left(), part.bottom(), part.right());
    }
}
