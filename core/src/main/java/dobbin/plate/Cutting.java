package dobbin.plate;

/**
 * How drawings are cut from a plate.
 *
 * @param clears whether the ground becomes transparent, where it reaches the edge of a part
 * @param enclosed whether it does as well where a drawing encloses it
 * @param tolerance how far a color may be from the ground's and still be ground, in Oklab; 0 to 1
 */
public record Cutting(boolean clears, boolean enclosed, double tolerance, Centering centering) {
    public Cutting {
        if (!(tolerance >= 0 && tolerance <= 1) || centering == null) {
            throw new IllegalArgumentException("A tolerance from 0 to 1 and a centering");
        }
    }
}
