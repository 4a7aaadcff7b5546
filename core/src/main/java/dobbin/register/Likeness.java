package dobbin.register;

import dobbin.raster.Affine;
import dobbin.raster.Homography;

/** How well two planes agree in an area where a warp lays them over one another: their correlation, -1 to 1. */
final class Likeness {
    private static final double LEAST_SHARE = 0.4;

    private Likeness() {}

    /**
     * @param warp from the other's pixels to the still's, both counted from their middles
     * @return -1 where they hardly overlap
     */
    static double of(Plane other, Area area, Plane still, Homography warp) {
        double sum = 0;
        double sumOther = 0;
        double squares = 0;
        double squaresOther = 0;
        double products = 0;
        int count = 0;
        // Most have no perspective, and a division at each pixel is felt.
        boolean isAffine = warp.isAffine();
        Affine place = warp.affine();
        int fromX = area.fromX(other.width());
        int toX = area.toX(other.width());
        int fromY = area.fromY(other.height());
        int toY = area.toY(other.height());
        for (int y = fromY; y < toY; y++) {
            double py = y + 0.5 - other.height() / 2.0;
            for (int x = fromX; x < toX; x++) {
                double px = x + 0.5 - other.width() / 2.0;
                double w = isAffine ? 1 : 1 / warp.divisor(px, py);
                double u = w * place.x(px, py) + still.width() / 2.0 - 0.5;
                double v = w * place.y(px, py) + still.height() / 2.0 - 0.5;
                if (still.isInside(u, v)) {
                    double a = still.between(u, v);
                    double b = other.at(x, y);
                    sum += a;
                    sumOther += b;
                    squares += a * a;
                    squaresOther += b * b;
                    products += a * b;
                    count++;
                }
            }
        }
        if (count < LEAST_SHARE * (toX - fromX) * (toY - fromY)) {
            return -1;
        }
        double spread = squares - sum * sum / count;
        double spreadOther = squaresOther - sumOther * sumOther / count;
        double both = Math.sqrt(spread * spreadOther);
        return both < 1e-9 ? 0 : (products - sum * sumOther / count) / both;
    }
}
