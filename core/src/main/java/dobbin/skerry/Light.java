package dobbin.skerry;

import dobbin.color.LinearLight;

/** A color as linear light, for mixing: red, green and blue, 0..1 and above where it shines. */
record Light(float red, float green, float blue) {
    static Light of(int rgb) {
        return new Light(LinearLight.of(rgb >> 16 & 0xFF), LinearLight.of(rgb >> 8 & 0xFF), LinearLight.of(rgb & 0xFF));
    }

    Light mix(Light other, float share) {
        float s = Math.max(0, Math.min(1, share));
        return new Light(
                Noise.mix(red, other.red, s), Noise.mix(green, other.green, s), Noise.mix(blue, other.blue, s));
    }

    Light plus(Light other, float strength) {
        return new Light(red + other.red * strength, green + other.green * strength, blue + other.blue * strength);
    }

    Light times(float factor) {
        return new Light(red * factor, green * factor, blue * factor);
    }

    int rgb() {
        return LinearLight.toSrgb(red) << 16 | LinearLight.toSrgb(green) << 8 | LinearLight.toSrgb(blue);
    }

    /** @return the color at {@code t} (0..1) along evenly spaced stops */
    static Light along(float t, int... stops) {
        float at = Math.max(0, Math.min(1, t)) * (stops.length - 1);
        int first = Math.min((int) at, stops.length - 2);
        return of(stops[first]).mix(of(stops[first + 1]), at - first);
    }
}
