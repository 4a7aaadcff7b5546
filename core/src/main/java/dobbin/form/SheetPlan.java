package dobbin.form;

import dobbin.raster.Size;
import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * How the frames of a loop are laid out on a sheet, row by row.
 *
 * @param columns how many lie side by side, at most; {@link #EVEN} for about as many as there are rows
 * @param padding bare pixels around each of them
 */
public record SheetPlan(
        @Min(0) @Max(2000) int columns, @Min(0) @Max(100) int padding) {
    public static final int EVEN = 0;
    public static final SheetPlan USUAL = new SheetPlan(EVEN, 0);

    /** Browsers draw no larger pictures. */
    private static final int MOST_SIDE = 16_384;

    private static final long MOST_PIXELS = 100_000_000;

    public SheetPlan {
        Ranges.check(SheetPlan.class, "columns", columns);
        Ranges.check(SheetPlan.class, "padding", padding);
    }

    /** @return how many lie side by side, of so many frames */
    public int columnsFor(int frames) {
        return columns == EVEN ? (int) Math.ceil(Math.sqrt(frames)) : Math.min(columns, frames);
    }

    int rowsFor(int frames) {
        int across = columnsFor(frames);
        return (frames + across - 1) / across;
    }

    int x(int place, int frames, Size cell) {
        return padding + place % columnsFor(frames) * (cell.width() + padding);
    }

    int y(int place, int frames, Size cell) {
        return padding + place / columnsFor(frames) * (cell.height() + padding);
    }

    /** @throws OutOfRange where it would be larger than browsers draw */
    Size sheet(int frames, Size cell) {
        long width = padding + (long) columnsFor(frames) * (cell.width() + padding);
        long height = padding + (long) rowsFor(frames) * (cell.height() + padding);
        if (width > MOST_SIDE || height > MOST_SIDE || width * height > MOST_PIXELS) {
            throw new OutOfRange(
                    "sheet",
                    "would be " + width + " x " + height
                            + " pixels. Deliver fewer frames, or make them smaller on Slim");
        }
        return new Size((int) width, (int) height);
    }
}
