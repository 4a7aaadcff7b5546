package dobbin.skerry;

import dobbin.color.LinearLight;

/** A color as linear light, for mixing: red, green and blue, 0..1 and above where it shines. */
record LinearColor(float red, float green, float blue) {
    static LinearColor of(int rgb) {
        return new LinearColor(
                LinearLight.of(rgb >> 16 & 0xFF), LinearLight.of(rgb >> 8 & 0xFF), LinearLight.of(rgb & 0xFF));
    }

    LinearColor mix(LinearColor other, float share) {
        float s = Math.max(0, Math.min(1, share));
        return new LinearColor(
                Noise.mix(red, other.red, s), Noise.mix(green, other.green, s), Noise.mix(blue, other.blue, s));
    }

    LinearColor plus(LinearColor other, float strength) {
        return new LinearColor(
                red + other.red * strength, green + other.green * strength, blue + other.blue * strength);
    }

    LinearColor times(float factor) {
        return new LinearColor(red * factor, green * factor, blue * factor);
    }

    int rgb() {
        return LinearLight.toSrgb(red) << 16 | LinearLight.toSrgb(green) << 8 | LinearLight.toSrgb(blue);
    }

    /** @return the color at {@code t} (0..1) along evenly spaced stops */
    static LinearColor along(float t, int... stops) {
        float at = Math.max(0, Math.min(1, t)) * (stops.length - 1);
        int first = Math.min((int) at, stops.length - 2);
        return of(stops[first]).mix(of(stops[first + 1]), at - first);
    }
}
