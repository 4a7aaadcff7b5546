package dobbin.gif;

/**
 * What a graphic control extension says of the frame after it.
 *
 * @param delayHundredths 0 to 65535
 * @param transparentIndex 0 to 255, or -1 for none
 */
record GraphicControl(Disposal disposal, int delayHundredths, int transparentIndex) {
    static final GraphicControl NONE = new GraphicControl(Disposal.KEEP, 0, -1);
}
