package dobbin.gif;

/**
 * A stored frame and which frames of the loop it shows.
 *
 * @param first from 0
 * @param frames how many, from there on, being the same
 */
public record EncodedFrame(int first, int frames, StoredFrame stored) {}
