package dobbin.cli;

import dobbin.dither.Dither;
import dobbin.dither.Dithering;
import dobbin.edit.EditRejected;
import dobbin.edit.SetDelivery;
import dobbin.gather.PaletteFile;
import dobbin.palette.ColorChoice;
import dobbin.palette.PaletteChoice;
import dobbin.palette.PaletteText;
import dobbin.reel.Coloring;
import dobbin.reel.Crop;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Framing;
import dobbin.reel.Reel;
import dobbin.reel.Scaling;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;

/** How files are delivered, as the commands that encode take it. What is not said stays as the reel has it. */
final class DeliveryOptions {
    @Option(names = "--width", paramLabel = "PX", description = "1 to 1600 (the stills' own to 800, else 480)")
    private Integer width;

    @Option(names = "--height", paramLabel = "PX", description = "1 to 1600, instead of --width")
    private Integer height;

    @Option(names = "--scale", paramLabel = "PERCENT", description = "of the stills' own width, instead of --width")
    private Double scalePercent;

    @Option(
            names = "--enlarge",
            paramLabel = "N",
            description = "2 to 20 pixels for each, with hard edges, instead of --width")
    private Integer enlarge;

    @Option(names = "--scaling", paramLabel = "smooth|hard", description = "mixes pixels, or takes one each (smooth)")
    private Scaling scaling;

    @Option(
            names = "--crop",
            paramLabel = "X,Y,WIDTH,HEIGHT",
            split = ",",
            arity = "1",
            description = "the part that is delivered, in pixels of the stills (all of it)")
    private int[] crop;

    @Option(
            names = "--every",
            paramLabel = "N",
            description = "every n-th frame, each showing for those passed over, too: lighter, less smooth (1)")
    private Integer every;

    @Option(names = "--colors", paramLabel = "N", description = "2 to 256, a transparent one included (256)")
    private Integer colors;

    @Option(
            names = "--choice",
            paramLabel = "seen|vivid|grays|web",
            description = "which colors: as seen, favoring vivid ones, grays, or the 216 web-safe ones (seen)")
    private ColorChoice choice;

    @Option(
            names = "--own-palette",
            paramLabel = "FILE",
            description = "colors of your own: a text of CSS colors, one a line, or a PNG of one pixel a color")
    private Path ownPalette;

    @Option(
            names = "--palette",
            paramLabel = "auto|loop|frame",
            description = "one for the loop, one a frame (truer, heavier), or what looks better (auto)")
    private PaletteChoice palette;

    @Option(
            names = "--dither",
            paramLabel = "NAME[:AMOUNT]",
            description = "none, floyd-steinberg, sierra-lite, atkinson, bayer or blue-noise,"
                    + " and 0 to 100 percent of it: smoother, heavier (sierra-lite:85)")
    private String dither;

    @Option(
            names = "--tolerance",
            paramLabel = "0..100",
            description = "how much change that is hardly seen is left out: lighter; 0 for none (20)")
    private Integer tolerance;

    @Option(
            names = "--alpha-cutoff",
            paramLabel = "1..255",
            description = "pixels at least this opaque are drawn, others not (128)")
    private Integer alphaCutoff;

    @Option(names = "--matte", paramLabel = "RRGGBB", description = "the page color soft edges are mixed with")
    private String matte;

    @Option(names = "--flat", description = "fills all that is transparent with the matte, too")
    private boolean flat;

    @Option(
            names = "--keep-colors",
            paramLabel = "RRGGBB",
            split = ",",
            description = "colors that are kept as they are, with commas between them")
    private List<String> keptColors;

    @Option(names = "--comment", paramLabel = "TEXT", description = "what the file says of itself (nothing)")
    private String comment;

    /** @return the edit that makes these the reel's settings */
    SetDelivery of(Reel reel) throws IOException {
        Delivery usual = reel.delivery();
        Encoding finer = usual.encoding();
        Dithering dithering = dither == null ? usual.dithering() : dithering();
        return new SetDelivery(new Delivery(
                framing(reel),
                or(colors, usual.colors()),
                coloring(usual.coloring()),
                dithering.dither(),
                or(matte, usual.matte()),
                flat || usual.flat(),
                new Encoding(
                        dithering.amount(),
                        or(palette, finer.palette()),
                        or(tolerance, finer.tolerance()),
                        or(alphaCutoff, finer.alphaCutoff()),
                        or(keptColors, finer.keptColors()),
                        or(comment, finer.comment()))));
    }

    /** Takes what was said by place and not by name; null where it was not. */
    void say(String colorsByPlace, String ditheredByPlace) {
        if (colorsByPlace != null) {
            colors = Integer.valueOf(colorsByPlace);
        }
        if (ditheredByPlace != null && dither == null) {
            dither = ditheredByPlace.equals("0") ? "none" : name(Dithering.USUAL.dither());
        }
    }

    /** @return settings as they would be said on the command line */
    static String words(Delivery delivery, Reel reel) {
        return "--colors " + delivery.colors() + " --dither " + name(delivery.dither()) + ":"
                + delivery.encoding().ditherAmount() + " --tolerance "
                + delivery.encoding().tolerance() + " --width "
                + delivery.sizeOf(reel.canvas()).width() + " --every "
                + delivery.framing().every();
    }

    private Framing framing(Reel reel) {
        if (crop != null && crop.length != 4) {
            throw new EditRejected("--crop", "takes four numbers: left, top, width and height");
        }
        if (scalePercent != null && (width != null || height != null || enlarge != null)) {
            throw new EditRejected("--scale", "cannot be given together with --width, --height or --enlarge");
        }
        Framing usual = reel.delivery().framing();
        Crop part = crop == null ? usual.crop() : new Crop(crop[0], crop[1], crop[2], crop[3]);
        int partWidth = part.sizeOn(reel.canvas()).width();
        Integer scaled =
                scalePercent == null ? width : Integer.valueOf((int) Math.round(partWidth * scalePercent / 100));
        // One way to say the size takes the place of whichever the reel has.
        Framing sized = scaled == null && height == null && enlarge == null ? usual : Framing.USUAL;
        return new Framing(
                part,
                or(scaled, sized.width()),
                or(height, sized.height()),
                or(enlarge, sized.enlarge()),
                or(scaling, usual.scaling()),
                or(every, usual.every()));
    }

    private Coloring coloring(Coloring usual) throws IOException {
        if (ownPalette == null) {
            return choice == null ? usual : new Coloring(choice, List.of());
        }
        if (choice != null) {
            throw new EditRejected("--choice", "cannot be given together with --own-palette");
        }
        try {
            List<String> own = PaletteFile.read(Files.readAllBytes(ownPalette)).stream()
                    .map(color -> String.format(Locale.ROOT, "%06x", color))
                    .toList();
            return new Coloring(ColorChoice.OWN, own);
        } catch (PaletteText.NoPalette e) {
            throw new EditRejected(ownPalette.toString(), e.getMessage(), e);
        }
    }

    private Dithering dithering() {
        String[] parts = dither.split(":", 2);
        Dither kind = Arrays.stream(Dither.values())
                .filter(each -> name(each).equals(parts[0].toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> new EditRejected(
                        "--dither",
                        "must be one of "
                                + Arrays.stream(Dither.values())
                                        .map(DeliveryOptions::name)
                                        .collect(Collectors.joining(", "))
                                + ", not " + parts[0]));
        try {
            int amount = parts.length == 1 ? Dithering.USUAL_AMOUNT : Integer.parseInt(parts[1]);
            if (amount >= 0 && amount <= 100) {
                return new Dithering(kind, amount);
            }
        } catch (NumberFormatException e) {
            // Refused below, like a number that is too large.
        }
        throw new EditRejected("--dither", "takes 0 to 100 percent after the colon, not " + parts[1]);
    }

    static String name(Dither dither) {
        return dither.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static <T> T or(T said, T usual) {
        return said == null ? usual : said;
    }
}
