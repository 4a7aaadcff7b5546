package dobbin.plate;

import dobbin.raster.Bounds;
import dobbin.raster.BoundsBuilder;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Cuts drawings from a plate, centers them on one another, and trims them of what is empty on all of them. */
public final class Cutter {
    private static final int OPAQUE = 0xFF000000;

    private Cutter() {}

    /** @param box around what is drawn, empty for nothing; {@code x} and {@code y} are what comes to lie on one place */
    private record Piece(Raster picture, Bounds box, double x, double y) {}

    /**
     * @param parts of the plate, in the order they play
     * @return a picture for each part, all of one size
     */
    public static List<Raster> cut(Raster plate, Ground ground, List<Bounds> parts, Cutting how) {
        List<Piece> pieces = parts.stream()
                .map(part -> piece(plate.cut(part.within(Bounds.all(plate.size()))), ground, how))
                .toList();
        Bounds room = room(pieces);
        int around = how.clears() || ground.transparent() ? 0 : OPAQUE | ground.rgb();
        List<Raster> pictures = new ArrayList<>();
        for (Piece piece : pieces) {
            pictures.add(laid(piece, room, around));
        }
        return pictures;
    }

    private static Piece piece(Raster part, Ground ground, Cutting how) {
        boolean[] ink = ground.ink(part, how.tolerance());
        Bounds box = box(ink, part.size());
        Raster picture = how.clears() ? Clearing.of(part, ground, how.tolerance(), how.enclosed()) : part;
        double middleX = (box.left() + box.right()) / 2.0;
        return switch (how.centering()) {
            case NONE -> new Piece(picture, box, 0, 0);
            case BOX -> new Piece(picture, box, middleX, (box.top() + box.bottom()) / 2.0);
            case FOOT -> new Piece(picture, box, middleX, box.bottom());
            case WEIGHT -> weighed(picture, box, ink);
        };
    }

    private static Piece weighed(Raster picture, Bounds box, boolean[] ink) {
        double sumX = 0;
        double sumY = 0;
        long count = 0;
        for (int i = 0; i < ink.length; i++) {
            if (ink[i]) {
                sumX += i % picture.width() + 0.5;
                sumY += i / picture.width() + 0.5;
                count++;
            }
        }
        return count == 0 ? new Piece(picture, box, 0, 0) : new Piece(picture, box, sumX / count, sumY / count);
    }

    private static Bounds box(boolean[] ink, Size size) {
        BoundsBuilder box = new BoundsBuilder();
        for (int i = 0; i < ink.length; i++) {
            if (ink[i]) {
                box.add(i % size.width(), i / size.width());
            }
        }
        return box.bounds();
    }

    /** @return what all boxes cover, as seen from the place they have in common */
    private static Bounds room(List<Piece> pieces) {
        Bounds room = new Bounds(Integer.MAX_VALUE, Integer.MAX_VALUE, Integer.MIN_VALUE, Integer.MIN_VALUE);
        for (Piece piece : pieces) {
            if (!piece.box.isEmpty()) {
                int x = (int) Math.round(piece.x);
                int y = (int) Math.round(piece.y);
                room = new Bounds(
                        Math.min(room.left(), piece.box.left() - x),
                        Math.min(room.top(), piece.box.top() - y),
                        Math.max(room.right(), piece.box.right() - x),
                        Math.max(room.bottom(), piece.box.bottom() - y));
            }
        }
        return room.isEmpty() ? new Bounds(0, 0, 1, 1) : room;
    }

    private static Raster laid(Piece piece, Bounds room, int around) {
        int[] argb = new int[Math.toIntExact(room.size().area())];
        Arrays.fill(argb, around);
        int shiftX = -(int) Math.round(piece.x) - room.left();
        int shiftY = -(int) Math.round(piece.y) - room.top();
        Bounds box = piece.box;
        for (int y = box.top(); y < box.bottom(); y++) {
            System.arraycopy(
                    piece.picture.argb(),
                    y * piece.picture.width() + box.left(),
                    argb,
                    (y + shiftY) * room.width() + box.left() + shiftX,
                    box.width());
        }
        return Raster.of(room.size(), argb);
    }
}
