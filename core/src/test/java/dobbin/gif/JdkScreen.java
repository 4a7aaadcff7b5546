package dobbin.gif;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageInputStream;

/** A second decoder: the JDK's reader decodes each image, and this lays them over one another as viewers do. */
public final class JdkScreen {
    private JdkScreen() {}

    /** @return the screen while each image of the file shows: opaque pixels or 0 */
    public static List<Raster> shown(byte[] file, Size size) throws IOException {
        ImageReader reader = ImageIO.getImageReadersByFormatName("gif").next();
        BufferedImage screen = new BufferedImage(size.width(), size.height(), BufferedImage.TYPE_INT_ARGB);
        List<Raster> shown = new ArrayList<>();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            reader.setInput(in);
            int count = reader.getNumImages(true);
            for (int i = 0; i < count; i++) {
                int[] before = pixels(screen, size);
                IIOMetadataNode at = node(reader, i, "ImageDescriptor");
                int left = Integer.parseInt(at.getAttribute("imageLeftPosition"));
                int top = Integer.parseInt(at.getAttribute("imageTopPosition"));
                BufferedImage patch = reader.read(i);
                lay(patch, left, top, screen);
                shown.add(Raster.of(size, pixels(screen, size)));
                String disposal = node(reader, i, "GraphicControlExtension").getAttribute("disposalMethod");
                if (disposal.equals("restoreToBackgroundColor")) {
                    clear(screen, left, top, patch);
                } else if (disposal.equals("restoreToPrevious")) {
                    screen.setRGB(0, 0, size.width(), size.height(), before, 0, size.width());
                }
            }
        } finally {
            reader.dispose();
        }
        return shown;
    }

    /** @return how long each image of the file shows, in hundredths of a second */
    public static int[] hundredths(byte[] file) throws IOException {
        ImageReader reader = ImageIO.getImageReadersByFormatName("gif").next();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            reader.setInput(in);
            int[] hundredths = new int[reader.getNumImages(true)];
            for (int i = 0; i < hundredths.length; i++) {
                hundredths[i] = Integer.parseInt(
                        node(reader, i, "GraphicControlExtension").getAttribute("delayTime"));
            }
            return hundredths;
        } finally {
            reader.dispose();
        }
    }

    private static IIOMetadataNode node(ImageReader reader, int image, String name) throws IOException {
        var tree = (IIOMetadataNode) reader.getImageMetadata(image).getAsTree("javax_imageio_gif_image_1.0");
        return (IIOMetadataNode) tree.getElementsByTagName(name).item(0);
    }

    private static int[] pixels(BufferedImage screen, Size size) {
        int[] pixels = screen.getRGB(0, 0, size.width(), size.height(), null, 0, size.width());
        return Arrays.stream(pixels).map(argb -> argb >>> 24 == 0 ? 0 : argb).toArray();
    }

    private static void lay(BufferedImage patch, int left, int top, BufferedImage screen) {
        for (int y = 0; y < patch.getHeight(); y++) {
            for (int x = 0; x < patch.getWidth(); x++) {
                int argb = patch.getRGB(x, y);
                if (argb >>> 24 != 0) {
                    screen.setRGB(left + x, top + y, argb);
                }
            }
        }
    }

    private static void clear(BufferedImage screen, int left, int top, BufferedImage patch) {
        Graphics2D pen = screen.createGraphics();
        pen.setBackground(new Color(0, true));
        pen.clearRect(left, top, patch.getWidth(), patch.getHeight());
        pen.dispose();
    }
}
