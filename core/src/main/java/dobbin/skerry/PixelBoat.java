package dobbin.skerry;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;

/** A tiny boat on a tiny sea: 60 x 40 hard pixels in nine colors, each drawn eight pixels wide. */
final class PixelBoat {
    private static final int FRAMES = 12;
    private static final int WIDTH = 60;
    private static final int HEIGHT = 40;
    private static final int ENLARGED = 8;
    private static final int WATERLINE = 27;
    private static final String[] BOAT = {
        "........o.........",
        "........ow........",
        ".......wowr.......",
        "......wwowrr......",
        ".....wwwowrrr.....",
        "....wwwwowrrrr....",
        "...wwwwwowrrrrr...",
        "........o.........",
        "nnnnnnnnnnnnnnnnnn",
        ".nyyyyyyyyyyyyyyn.",
        ".nnnnnnnnnnnnnnnn.",
        "..nnnnnnnnnnnnnn..",
        "...nnnnnnnnnnnn...",
        "....nnnnnnnnnn....",
    };

    private PixelBoat() {}

    static List<DemoFile> files() {
        List<DemoFile> files = new ArrayList<>();
        for (int frame = 0; frame < FRAMES; frame++) {
            files.add(new DemoFile("boat" + (frame + 1) + ".png", Files.png(enlarged(draw(frame)))));
        }
        return files;
    }

    private static int[][] draw(int frame) {
        int[][] rgb = new int[HEIGHT][WIDTH];
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                rgb[y][x] = y < 12 ? 0x8CC7DE : 0xB5DFE8;
            }
        }
        stamp(rgb, 44, 4, new String[] {".yyy.", "yyyyy", "yyyyy", "yyyyy", ".yyy."});
        for (int cloud = 0; cloud < 3; cloud++) {
            int x = Math.floorMod(8 + cloud * 22 - frame * WIDTH / FRAMES / 5 * (cloud == 1 ? 0 : 1), WIDTH);
            stamp(rgb, x, 5 + 4 * (cloud % 2), new String[] {"..cccc..", "cccccccc"});
        }
        int bob = (int) Math.round(1.4 * Math.sin(2 * Math.PI * frame / FRAMES));
        stamp(rgb, 20, WATERLINE - 12 + bob, BOAT);
        for (int y = WATERLINE; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                int wave = Math.floorMod(x + (y - WATERLINE) * 3 + frame * 2, 12);
                boolean crest = y == WATERLINE ? wave < 6 : (y - WATERLINE) % 3 == 0 && wave < 4;
                if (y > WATERLINE || crest) {
                    rgb[y][x] = crest ? 0x6FB3C6 : y < WATERLINE + 6 ? 0x2F7F9E : 0x1F5F80;
                }
            }
        }
        return rgb;
    }

    private static void stamp(int[][] rgb, int left, int top, String[] rows) {
        for (int y = 0; y < rows.length; y++) {
            for (int x = 0; x < rows[y].length(); x++) {
                int color = switch (rows[y].charAt(x)) {
                    case 'o' -> 0x5A3A2A;
                    case 'w' -> 0xFFF8E8;
                    case 'r' -> 0xB23E28;
                    case 'n' -> 0x1E2A32;
                    case 'y' -> 0xF2C14E;
                    case 'c' -> 0xF4FBFA;
                    default -> -1;
                };
                if (color >= 0) {
                    rgb[Math.floorMod(top + y, HEIGHT)][Math.floorMod(left + x, WIDTH)] = color;
                }
            }
        }
    }

    private static BufferedImage enlarged(int[][] rgb) {
        BufferedImage image = new BufferedImage(WIDTH * ENLARGED, HEIGHT * ENLARGED, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                image.setRGB(x, y, rgb[y / ENLARGED][x / ENLARGED]);
            }
        }
        return image;
    }
}
