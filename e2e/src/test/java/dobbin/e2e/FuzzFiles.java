package dobbin.e2e;

import dobbin.apng.ApngWriter;
import dobbin.lettering.Typeface;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import dobbin.still.PngWriter;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;

/** A small file of each kind that is accepted. */
final class FuzzFiles {
    private static final String WEBP = "UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==";

    /** @param route that takes such files */
    record Example(String route, String name, byte[] bytes) {}

    private final List<Example> all = new ArrayList<>();

    private FuzzFiles() {}

    /** @param reel the address of one, whose working file is taken */
    static List<Example> examples(Api api, String reel) throws IOException {
        FuzzFiles files = new FuzzFiles();
        files.collect(api, reel);
        return files.all;
    }

    private void collect(Api api, String reel) throws IOException {
        Raster still = SkerryPoint.sunrise(1, new Size(120, 80)).get(0);
        byte[] png = PngWriter.bytes(still);
        picture("tide.png", png);
        picture("tide.jpg", SkerryPoint.sunrise().files().get(0).bytes());
        picture("light.gif", SkerryPoint.light().files().get(0).bytes());
        picture("tide.webp", Base64.getDecoder().decode(WEBP));
        BufferedImage image = new BufferedImage(120, 80, BufferedImage.TYPE_INT_RGB);
        image.setRGB(0, 0, 120, 80, still.argb(), 0, 120);
        for (String format : List.of("tiff", "bmp")) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, format, out);
            picture("tide." + format, out.toByteArray());
        }
        picture(
                "tide.svg",
                ("<svg xmlns='http://www.w3.org/2000/svg' width='120' height='80'><defs><linearGradient id='g'><stop stop-color='#fff6d8'/>"
                                + "<stop offset='1' stop-color='#1c3f55'/></linearGradient><filter id='f'><feGaussianBlur stdDeviation='3'/>"
                                + "<feTurbulence numOctaves='3'/></filter><clipPath id='c'><path d='M0 0L90 0C9 9 40 40 90 80Z'/></clipPath></defs>"
                                + "<rect width='120' height='80' fill='url(#g)' filter='url(#f)'/><g clip-path='url(#c)'><circle cx='60' cy='40'"
                                + " r='30' stroke='#b23e28' stroke-dasharray='5 3' stroke-width='3'/></g><text x='9' y='60'>Skerry</text></svg>")
                        .getBytes(StandardCharsets.UTF_8));
        picture("tide.ora", openRaster(png));
        picture("tide.apng", apng());
        all.add(new Example("/api/reels/file", "tide.dobbin", api.bytes(reel + "/file")));
        try (InputStream lora = Typeface.class.getResourceAsStream("Lora-Regular.ttf")) {
            all.add(new Example("/api/typefaces", "lora.ttf", lora.readAllBytes()));
        }
        String palette = "GIMP Palette\nName: Tide\nColumns: 2\n#\n 43 111 134\tsea\n246 241 231\tpaper\n";
        all.add(new Example("/api/palettes/read", "tide.gpl", palette.getBytes(StandardCharsets.UTF_8)));
        all.add(new Example("/api/palettes/read", "tide.png", png));
        all.add(new Example("/api/clips/loop?height=8", "", png));
    }

    private static byte[] apng() throws IOException {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ApngWriter writer = new ApngWriter(new Size(60, 40), 4, 0, file);
        for (Raster frame : SkerryPoint.sunrise(4, new Size(60, 40))) {
            writer.add(frame, 100);
        }
        writer.finish();
        return file.toByteArray();
    }

    private void picture(String name, byte[] bytes) {
        all.add(new Example("/api/pictures", name, bytes));
    }

    private static byte[] openRaster(byte[] png) throws IOException {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(file)) {
            for (Map.Entry<String, byte[]> part : Map.of(
                            "mimetype", "image/openraster".getBytes(StandardCharsets.US_ASCII),
                            "stack.xml",
                                    "<image w='120' h='80'><stack><layer src='data/a.png' x='3' opacity='0.5'/><stack><layer src='data/a.png'/></stack></stack></image>"
                                            .getBytes(StandardCharsets.US_ASCII),
                            "data/a.png", png)
                    .entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
            }
        }
        return file.toByteArray();
    }
}
