package dobbin.gif;

import dobbin.raster.Bounds;

/**
 * What a stored frame costs, and why.
 *
 * @param first which frame of the loop it shows first, from 0
 * @param frames how many frames of the loop it shows, being the same
 * @param bytes of the file
 * @param drawn how many pixels of the box are drawn anew
 * @param ownPalette whether it brings a palette of its own
 */
public record FrameWeight(
        int first, int frames, int bytes, Bounds box, int drawn, Disposal disposal, boolean ownPalette) {}
