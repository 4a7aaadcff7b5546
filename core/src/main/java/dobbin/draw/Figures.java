package dobbin.draw;

import dobbin.raster.Bounds;

/** Rectangles and ellipses as coverage, with edges of shades or of whole pixels. */
final class Figures {
    private Figures() {}

    /** A box in pixels and fractions of them, its corners in order. */
    record Box(double left, double top, double right, double bottom) {
        static Box between(double x, double y, double otherX, double otherY) {
            return new Box(Math.min(x, otherX), Math.min(y, otherY), Math.max(x, otherX), Math.max(y, otherY));
        }

        Box grownBy(double margin) {
            return new Box(left - margin, top - margin, right + margin, bottom + margin);
        }

        /** @return the box around the pixels that both corners lie in, and all between */
        Box whole() {
            return new Box(Math.floor(left), Math.floor(top), Math.floor(right) + 1, Math.floor(bottom) + 1);
        }

        boolean isEmpty() {
            return right <= left || bottom <= top;
        }
    }

    private interface Share {
        /** @return how much of the pixel is covered, 0 to 1 */
        double of(int x, int y);
    }

    static void rectangle(Box box, Coverage coverage) {
        each(box, coverage, (x, y) -> inRectangle(box, x, y));
    }

    /** @param width of the line, half of it inside the box and half outside */
    static void rectangleLine(Box box, double width, Coverage coverage) {
        Box outer = box.grownBy(width / 2);
        Box inner = box.grownBy(-width / 2);
        each(outer, coverage, (x, y) -> inRectangle(outer, x, y) - (inner.isEmpty() ? 0 : inRectangle(inner, x, y)));
    }

    /** A frame of whole pixels, inside the box. */
    static void hardRectangleLine(Box box, int width, Coverage coverage) {
        Box inner = box.grownBy(-width);
        each(box, coverage, (x, y) -> inner.isEmpty() || inRectangle(inner, x, y) == 0 ? 1 : 0);
    }

    static void ellipse(Box box, Coverage coverage) {
        each(box.grownBy(1), coverage, (x, y) -> inEllipse(box, x, y));
    }

    static void ellipseLine(Box box, double width, Coverage coverage) {
        Box outer = box.grownBy(width / 2);
        Box inner = box.grownBy(-width / 2);
        each(
                outer.grownBy(1),
                coverage,
                (x, y) -> inEllipse(outer, x, y) - (inner.isEmpty() ? 0 : inEllipse(inner, x, y)));
    }

    /** All pixels whose middles lie inside. */
    static void hardEllipse(Box box, Coverage coverage) {
        each(box, coverage, (x, y) -> field(box, x + 0.5, y + 0.5) <= 0 ? 1 : 0);
    }

    /** The pixels of the hard ellipse that have a neighbor beside, over or under them outside of it. */
    static void hardEllipseLine(Box box, int width, Coverage coverage) {
        Box inner = box.grownBy(-width);
        each(box, coverage, (x, y) -> {
            boolean inside = field(box, x + 0.5, y + 0.5) <= 0;
            return inside && (width > 1 ? inner.isEmpty() || field(inner, x + 0.5, y + 0.5) > 0 : isEdge(box, x, y))
                    ? 1
                    : 0;
        });
    }

    private static boolean isEdge(Box box, int x, int y) {
        return field(box, x - 0.5, y + 0.5) > 0
                || field(box, x + 1.5, y + 0.5) > 0
                || field(box, x + 0.5, y - 0.5) > 0
                || field(box, x + 0.5, y + 1.5) > 0;
    }

    private static double inRectangle(Box box, int x, int y) {
        double across = Math.min(x + 1, box.right) - Math.max(x, box.left);
        double down = Math.min(y + 1, box.bottom) - Math.max(y, box.top);
        return across <= 0 || down <= 0 ? 0 : across * down;
    }

    /** By the distance to the line, to first order: the field over its slope. */
    private static double inEllipse(Box box, int x, int y) {
        double a = (box.right - box.left) / 2;
        double b = (box.bottom - box.top) / 2;
        double dx = (x + 0.5 - (box.left + box.right) / 2) / a;
        double dy = (y + 0.5 - (box.top + box.bottom) / 2) / b;
        double radius = Math.sqrt(dx * dx + dy * dy);
        if (radius == 0) {
            return 1;
        }
        double slope = Math.hypot(dx / a, dy / b) / radius;
        return Math.max(0, Math.min(1, 0.5 - (radius - 1) / slope));
    }

    /** @return at most 0 inside the ellipse */
    private static double field(Box box, double x, double y) {
        double dx = (2 * x - box.left - box.right) / (box.right - box.left);
        double dy = (2 * y - box.top - box.bottom) / (box.bottom - box.top);
        return dx * dx + dy * dy - 1;
    }

    private static void each(Box box, Coverage coverage, Share share) {
        Bounds part = new Bounds(
                        (int) Math.floor(box.left), (int) Math.floor(box.top), (int) Math.ceil(box.right), (int)
                                Math.ceil(box.bottom))
                .within(Bounds.all(coverage.size()));
        for (int y = part.top(); y < part.bottom(); y++) {
            for (int x = part.left(); x < part.right(); x++) {
                double covered = share.of(x, y);
                if (covered > 0) {
                    coverage.cover(x, y, Math.min(1, covered));
                }
            }
        }
    }
}
