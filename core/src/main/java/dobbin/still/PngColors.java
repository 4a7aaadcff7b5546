package dobbin.still;

import dobbin.color.LinearLight;
import dobbin.raster.Raster;
import dobbin.still.PngChunks.Chunk;
import java.util.Optional;

/**
 * What the samples of a PNG mean where it brings no profile: a gamma ({@code gAMA}), and the chromaticities of its primaries
 * and its white ({@code cHRM}).
 *
 * <p>Source: "Portable Network Graphics (PNG) Specification (Third Edition)", W3C, 2025, 11.3.2 and 13.13. Whites are adapted
 * by the Bradford transform (K. M. Lam, 1985; ICC.1:2022, Annex E). As browsers do, it passes over chromaticities without a
 * gamma, and takes a gamma of 1/2.2 alone for sRGB.
 */
final class PngColors {
    private static final double PARTS = 100_000;
    private static final int SRGB_GAMMA = 45455;
    private static final double[] SRGB = {0.3127, 0.3290, 0.64, 0.33, 0.30, 0.60, 0.15, 0.06};
    private static final double[][] BRADFORD = {
        {0.8951, 0.2664, -0.1614}, {-0.7502, 1.7135, 0.0367}, {0.0389, -0.0685, 1.0296}
    };

    private final double exponent;
    /** From linear red, green and blue of the file to those of sRGB. */
    private final double[][] toSrgb;

    private PngColors(double exponent, double[][] toSrgb) {
        this.exponent = exponent;
        this.toSrgb = toSrgb;
    }

    /** @return nothing where the file says nothing that changes its samples */
    static Optional<PngColors> of(byte[] png) {
        int gamma = 0;
        double[] chromaticities = SRGB;
        try {
            PngChunks chunks = new PngChunks(png);
            for (Chunk chunk = chunks.next(); !chunk.type().equals("IDAT"); chunk = chunks.next()) {
                switch (chunk.type()) {
                    case "sRGB", "cICP" -> {
                        return Optional.empty();
                    }
                    case "gAMA" -> gamma = chunk.length() == 4 ? (int) chunk.number(0) : 0;
                    case "cHRM" -> chromaticities = chunk.length() == 32 ? chromaticities(chunk) : SRGB;
                    default -> {}
                }
                if (!chunks.hasNext()) {
                    return Optional.empty();
                }
            }
        } catch (UnreadablePicture e) {
            // The reader of the picture says so, or shows it without.
            return Optional.empty();
        }
        boolean none = gamma <= 0 || gamma == SRGB_GAMMA && chromaticities == SRGB;
        return none ? Optional.empty() : of(gamma, chromaticities);
    }

    private static Optional<PngColors> of(int gamma, double[] chromaticities) {
        double[][] fromSrgb = toXyz(SRGB);
        double[][] toXyz = toXyz(chromaticities);
        if (toXyz == null) {
            return Optional.empty();
        }
        double[][] adapted = product(adaptation(white(chromaticities), white(SRGB)), toXyz);
        return Optional.of(new PngColors(PARTS / gamma, product(inverse(fromSrgb), adapted)));
    }

    private static double[] chromaticities(Chunk chunk) {
        double[] read = new double[SRGB.length];
        for (int i = 0; i < read.length; i++) {
            read[i] = chunk.number(4 * i) / PARTS;
        }
        return read;
    }

    /** @return the picture with its colors in sRGB */
    Raster toSrgb(Raster picture) {
        double[] linear = new double[256];
        for (int value = 0; value < linear.length; value++) {
            linear[value] = Math.pow(value / 255.0, exponent);
        }
        int[] argb = picture.argb();
        int[] converted = new int[argb.length];
        for (int i = 0; i < argb.length; i++) {
            double red = linear[argb[i] >> 16 & 0xFF];
            double green = linear[argb[i] >> 8 & 0xFF];
            double blue = linear[argb[i] & 0xFF];
            converted[i] = argb[i] & 0xFF000000
                    | channel(toSrgb[0], red, green, blue) << 16
                    | channel(toSrgb[1], red, green, blue) << 8
                    | channel(toSrgb[2], red, green, blue);
        }
        return Raster.of(picture.size(), converted);
    }

    private static int channel(double[] row, double red, double green, double blue) {
        return LinearLight.toSrgb((float) (row[0] * red + row[1] * green + row[2] * blue));
    }

    /** @return from linear light of these primaries to XYZ, or null where they are no colors that span others */
    private static double[][] toXyz(double[] chromaticities) {
        double[][] primaries = new double[3][3];
        for (int i = 0; i < 3; i++) {
            double x = chromaticities[2 * i + 2];
            double y = chromaticities[2 * i + 3];
            primaries[0][i] = x;
            primaries[1][i] = y;
            primaries[2][i] = 1 - x - y;
        }
        if (chromaticities[1] <= 0 || Math.abs(determinant(primaries)) < 1e-6) {
            return null;
        }
        double[] shares = product(inverse(primaries), white(chromaticities));
        for (double[] row : primaries) {
            for (int i = 0; i < 3; i++) {
                row[i] *= shares[i];
            }
        }
        return primaries;
    }

    /** @return X, Y and Z of the white at a luminance of 1 */
    private static double[] white(double[] chromaticities) {
        double x = chromaticities[0];
        double y = chromaticities[1];
        return new double[] {x / y, 1, (1 - x - y) / y};
    }

    private static double[][] adaptation(double[] from, double[] to) {
        double[] seenFrom = product(BRADFORD, from);
        double[] seenTo = product(BRADFORD, to);
        double[][] scaled = new double[3][];
        for (int i = 0; i < 3; i++) {
            double scale = seenTo[i] / seenFrom[i];
            scaled[i] = new double[] {scale * BRADFORD[i][0], scale * BRADFORD[i][1], scale * BRADFORD[i][2]};
        }
        return product(inverse(BRADFORD), scaled);
    }

    private static double[] product(double[][] matrix, double[] vector) {
        double[] product = new double[3];
        for (int i = 0; i < 3; i++) {
            product[i] = matrix[i][0] * vector[0] + matrix[i][1] * vector[1] + matrix[i][2] * vector[2];
        }
        return product;
    }

    private static double[][] product(double[][] left, double[][] right) {
        double[][] product = new double[3][3];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                product[i][j] = left[i][0] * right[0][j] + left[i][1] * right[1][j] + left[i][2] * right[2][j];
            }
        }
        return product;
    }

    private static double determinant(double[][] m) {
        return m[0][0] * (m[1][1] * m[2][2] - m[1][2] * m[2][1])
                - m[0][1] * (m[1][0] * m[2][2] - m[1][2] * m[2][0])
                + m[0][2] * (m[1][0] * m[2][1] - m[1][1] * m[2][0]);
    }

    private static double[][] inverse(double[][] m) {
        double d = determinant(m);
        double[][] inverse = new double[3][3];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                int a = (j + 1) % 3;
                int b = (j + 2) % 3;
                int c = (i + 1) % 3;
                int e = (i + 2) % 3;
                inverse[i][j] = (m[a][c] * m[b][e] - m[a][e] * m[b][c]) / d;
            }
        }
        return inverse;
    }
}
