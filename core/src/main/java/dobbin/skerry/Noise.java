package dobbin.skerry;

/** Repeatable randomness for pictures: the same numbers for the same places, on any machine. */
final class Noise {
    private Noise() {}

    /** @return 0..1, evenly spread, for whole coordinates */
    static float at(int x, int y, int seed) {
        int h = x * 0x27D4EB2D ^ y * 0x165667B1 ^ seed * 0x9E3779B1;
        h ^= h >>> 15;
        h *= 0x85EBCA6B;
        h ^= h >>> 13;
        h *= 0xC2B2AE35;
        h ^= h >>> 16;
        return (h >>> 8) / (float) (1 << 24);
    }

    /** @return 0..1, smooth between whole coordinates */
    static float smooth(float x, float y, int seed) {
        int left = (int) Math.floor(x);
        int top = (int) Math.floor(y);
        float across = eased(x - left);
        float down = eased(y - top);
        float above = mix(at(left, top, seed), at(left + 1, top, seed), across);
        float below = mix(at(left, top + 1, seed), at(left + 1, top + 1, seed), across);
        return mix(above, below, down);
    }

    /** @return 0..1, octaves of smooth noise, as clouds are made of */
    static float cloudy(float x, float y, int seed) {
        float sum = 0;
        float share = 0.5f;
        for (int octave = 0; octave < 5; octave++) {
            sum += share * smooth(x, y, seed + octave);
            x *= 2.03f;
            y *= 2.03f;
            share /= 2;
        }
        return sum / 0.97f;
    }

    /** @return about -1..1, most near 0, as a sensor's grain is */
    static float grain(int x, int y, int seed) {
        return (at(x, y, seed) + at(x, y, seed + 101) + at(x, y, seed + 202) - 1.5f) / 1.5f;
    }

    static float mix(float a, float b, float share) {
        return a + (b - a) * share;
    }

    private static float eased(float t) {
        return t * t * (3 - 2 * t);
    }
}
