package dobbin.server.lining;

/** What happens to the edges that moved stills leave bare. */
enum Edges {
    /** The canvas is cropped to what all of them cover. */
    CROP,
    /** The still they are lined up to lies behind all frames. */
    FILL,
    /** They stay bare. */
    LEAVE
}
