package dobbin.cli;

import dobbin.dither.Dither;
import dobbin.dither.Dithering;
import dobbin.edit.EditRejected;
import dobbin.edit.SetDelivery;
import dobbin.palette.PaletteChoice;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;

/** How files are encoded, as the commands that encode take it. What is not said stays as it usually is. */
final class EncodingOptions {
    @Option(names = "--colors", paramLabel = "N", description = "2 to 256, a transparent one included (256)")
    private Integer colors;

    @Option(
            names = "--palette",
            paramLabel = "auto|loop|frame",
            description = "one for the loop, one a frame, or what looks better (auto)")
    private PaletteChoice palette;

    @Option(
            names = "--dither",
            paramLabel = "NAME[:AMOUNT]",
            description = "none, floyd-steinberg, sierra-lite, atkinson, bayer or blue-noise,"
                    + " and 0 to 100 percent of it (sierra-lite:85)")
    private String dither;

    @Option(
            names = "--tolerance",
            paramLabel = "0..100",
            description = "how much change that is hardly seen is left out; 0 for none (20)")
    private Integer tolerance;

    @Option(
            names = "--alpha-cutoff",
            paramLabel = "1..255",
            description = "pixels at least this opaque are drawn, others not (128)")
    private Integer alphaCutoff;

    @Option(names = "--matte", paramLabel = "RRGGBB", description = "the page color soft edges are mixed with")
    private String matte;

    @Option(
            names = "--keep-colors",
            paramLabel = "RRGGBB",
            split = ",",
            description = "colors that are kept as they are, with commas between them")
    private List<String> keptColors;

    @Option(names = "--comment", paramLabel = "TEXT", description = "what the file says of itself (nothing)")
    private String comment;

    /** @return the edit that makes these the reel's settings */
    SetDelivery at(int width, Delivery usual) {
        Encoding finer = usual.encoding();
        Dithering dithering = dither == null ? usual.dithering() : dithering();
        return new SetDelivery(
                width,
                or(colors, usual.colors()),
                dithering.dither(),
                or(matte, usual.matte()),
                new Encoding(
                        dithering.amount(),
                        or(palette, finer.palette()),
                        or(tolerance, finer.tolerance()),
                        or(alphaCutoff, finer.alphaCutoff()),
                        or(keptColors, finer.keptColors()),
                        or(comment, finer.comment())));
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

    private Dithering dithering() {
        String[] parts = dither.split(":", 2);
        Dither kind = Arrays.stream(Dither.values())
                .filter(each -> name(each).equals(parts[0].toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> new EditRejected(
                        "--dither",
                        "must be one of "
                                + Arrays.stream(Dither.values())
                                        .map(EncodingOptions::name)
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

    private static String name(Dither dither) {
        return dither.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static <T> T or(T said, T usual) {
        return said == null ? usual : said;
    }
}
