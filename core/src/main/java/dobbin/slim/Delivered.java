package dobbin.slim;

import dobbin.raster.Size;

/**
 * A finished file.
 *
 * @param bytes the GIF; given away, not to be changed
 * @param colors how many palette entries it uses, a transparent one included
 */
public record Delivered(byte[] bytes, Size size, int frames, int colors) {}
