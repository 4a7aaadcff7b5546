package dobbin.server.worker;

import java.nio.charset.StandardCharsets;
import java.util.Random;

/** SVG files of a few kilobytes that take very long to draw, in one go. */
public final class SvgBombs {
    private static final int LINES = 3_000;
    private static final int SIDE = 480;

    private SvgBombs() {}

    /** @return a drawing of 480 by 480 */
    public static byte[] svg(String content) {
        return ("<svg xmlns='http://www.w3.org/2000/svg' width='480' height='480'>" + content + "</svg>")
                .getBytes(StandardCharsets.UTF_8);
    }

    /** Lines of which each crosses each other, so that clipping by them has millions of corners: more than 40 s. */
    public static byte[] crossingClipPath(int seed) {
        Random random = new Random(seed);
        StringBuilder path = new StringBuilder("M0 0");
        for (int i = 0; i < LINES; i++) {
            path.append('L').append(random.nextInt(SIDE)).append(' ').append(random.nextInt(SIDE));
        }
        return svg("<clipPath id='c'><path d='" + path + "'/></clipPath>"
                + "<rect width='480' height='480' clip-path='url(#c)'/>");
    }

    static byte[] fiftyWideBlurs() {
        return svg("<filter id='b'>" + "<feGaussianBlur stdDeviation='300'/>".repeat(50) + "</filter>"
                + "<rect width='480' height='480' filter='url(#b)'/>");
    }
}
