package dobbin.palette;

/** How the colors of a palette are chosen. */
public enum ColorChoice {
    /** Those that look most like the pictures. */
    SEEN,
    /** The same, but strong colors count for more than their share. */
    VIVID,
    /** Grays alone. */
    GRAYS,
    /** Those with 00, 33, 66, 99, CC or FF in each channel: 216, of which those most used are taken. */
    WEB,
    /** Colors of one's own, of which those most used are taken where there are too many. */
    OWN
}
