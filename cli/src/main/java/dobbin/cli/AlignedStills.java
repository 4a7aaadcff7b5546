package dobbin.cli;

import dobbin.edit.EditRejected;
import dobbin.edit.NewStill;
import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.Placement;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.register.Area;
import dobbin.register.CommonBox;
import dobbin.register.LineUp;
import dobbin.register.MotionModel;
import dobbin.register.Registration;
import java.io.PrintWriter;
import java.util.List;
import java.util.stream.IntStream;
import picocli.CommandLine.Option;
import tools.jackson.databind.json.JsonMapper;

/** Stills that were taken by hand, each laid where it lies on one of them. */
final class AlignedStills {
    @Option(names = "--line-up", description = "lays stills that were taken by hand over one another")
    private boolean wanted;

    @Option(
            names = "--line-up-to",
            paramLabel = "NUMBER",
            description = "the still that the others are lined up to (the middle one)")
    private Integer number;

    @Option(
            names = "--perspective",
            description = "with --line-up: also evens out that a page or a wall was seen from the side")
    private boolean perspective;

    @Option(names = "--crop-ragged", description = "cuts away the edges that not all lined-up stills cover")
    private boolean crops;

    /** How a still lies, as it is printed: in pixels of the file it is lined up to. */
    private record Told(String file, double dx, double dy, double turnDegrees, double scale, double sure) {}

    boolean isWanted() {
        return wanted || number != null || crops || perspective;
    }

    /** @return the pictures in their order, all of one size; those that match nowhere are as they were */
    List<Raster> linedUp(List<NewStill> stills, List<Raster> pictures, boolean tells, PrintWriter err) {
        int to = number == null ? (stills.size() - 1) / 2 : number - 1;
        if (to < 0 || to >= stills.size()) {
            throw new EditRejected("--line-up-to", "must be from 1 to " + stills.size());
        }
        Raster other = pictures.get(to);
        LineUp lineUp = new LineUp(other, Area.ALL, perspective ? MotionModel.PERSPECTIVE : MotionModel.SIMILARITY);
        List<Registration> registrations = IntStream.range(0, stills.size())
                .parallel()
                .mapToObj(i -> lineUp.of(pictures.get(i)))
                .toList();
        double pixels = (double) stills.get(to).size().width() / other.width();
        for (int i = 0; i < stills.size(); i++) {
            Registration found = registrations.get(i);
            if (tells) {
                err.println(JsonMapper.shared()
                        .writeValueAsString(told(stills.get(i).name(), found, pixels)));
            }
            if (!found.found()) {
                err.println("left as it was: “" + stills.get(i).name() + "” does not match “"
                        + stills.get(to).name() + "”");
            }
        }
        List<Raster> laid = IntStream.range(0, stills.size())
                .parallel()
                .mapToObj(i -> laid(pictures.get(i), registrations.get(i), other.size()))
                .toList();
        if (!crops) {
            return laid;
        }
        Bounds box = CommonBox.of(IntStream.range(0, laid.size())
                .filter(i -> registrations.get(i).found())
                .mapToObj(laid::get)
                .toList());
        return laid.stream().map(each -> each.cut(box)).toList();
    }

    private static Raster laid(Raster picture, Registration registration, Size size) {
        int[] argb = new int[Math.toIntExact(size.area())];
        Placement.draw(picture, registration.place(picture.size(), size), Bounds.all(size))
                .ifPresent(layer -> Compositor.over(layer.raster(), layer.x(), layer.y(), argb, size));
        return Raster.of(size, argb);
    }

    private static Told told(String file, Registration found, double pixels) {
        return new Told(
                file,
                rounded(found.dx() * pixels, 100),
                rounded(found.dy() * pixels, 100),
                rounded(found.turnDegrees(), 1000),
                rounded(found.scale(), 100_000),
                rounded(found.sure(), 100));
    }

    private static double rounded(double value, double parts) {
        return Math.round(value * parts) / parts;
    }
}
