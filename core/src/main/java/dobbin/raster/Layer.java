package dobbin.raster;

/** A picture with its top left pixel at (x, y). */
public record Layer(Raster raster, int x, int y) {
    /** @param opacity 0 to 1, by which that of each pixel is multiplied */
    public Layer faded(double opacity) {
        if (opacity == 1) {
            return this;
        }
        int[] argb = raster.argb().clone();
        for (int i = 0; i < argb.length; i++) {
            argb[i] = (int) Math.round((argb[i] >>> 24) * opacity) << 24 | argb[i] & 0xFFFFFF;
        }
        return new Layer(Raster.of(raster.size(), argb), x, y);
    }
}
