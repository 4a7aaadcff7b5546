package dobbin.slim;

import dobbin.reel.Delivery;

/**
 * A setting that was tried.
 *
 * @param bytes of the file it gives
 * @param looks how that looks beside the drawn loop
 */
public record Trial(Delivery delivery, int bytes, Appearance looks) {
    public double error() {
        return looks.error();
    }

    /** @return whether it is at least as good in both, and better in one */
    public boolean beats(Trial other) {
        return bytes <= other.bytes && error() <= other.error() && (bytes < other.bytes || error() < other.error());
    }
}
