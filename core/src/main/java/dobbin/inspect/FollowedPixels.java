package dobbin.inspect;

import dobbin.color.LinearLight;

/** State of each pixel, followed from frame to frame. */
interface FollowedPixels {
    void begin(int pixels);

    /** @return 1 where the pixel changed one way enough to count, -1 the other way, 0 where it did not */
    int change(int pixel, int argb, boolean first);

    /** @return linear light over the page: where that shows through, it is taken to be white */
    static double over(int channel, int alpha) {
        return (LinearLight.of(channel) * alpha + 255 - alpha) / 255;
    }
}
