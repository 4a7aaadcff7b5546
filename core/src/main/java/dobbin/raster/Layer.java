package dobbin.raster;

/** A picture with its top left pixel at (x, y). */
public record Layer(Raster raster, int x, int y) {}
