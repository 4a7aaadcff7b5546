package dobbin.gif;

import dobbin.raster.Disposal;

/**
 * What a graphic control extension says of the frame after it.
 *
 * @param delayHundredths 0 to 65535
 * @param transparentIndex 0 to 255, or -1 for none
 */
record GraphicControl(Disposal disposal, int delayHundredths, int transparentIndex) {
    static final GraphicControl NONE = new GraphicControl(Disposal.KEEP, 0, -1);

    /** @param code 0 to 7; 4 counts as 3, and 5 to 7 as 1, as browsers take them */
    static Disposal disposal(int code) {
        return switch (code) {
            case 2 -> Disposal.CLEAR;
            case 3, 4 -> Disposal.PUT_BACK;
            default -> Disposal.KEEP;
        };
    }

    static int code(Disposal disposal) {
        return switch (disposal) {
            case KEEP -> 1;
            case CLEAR -> 2;
            case PUT_BACK -> 3;
        };
    }
}
