package dobbin.gif;

/** A file that breaks the format: where, in which block, and what was found instead of what. */
public final class GifFormatException extends Exception {
    private final long offsetBytes;
    private final String block;

    public GifFormatException(long offsetBytes, String block, String detail) {
        super(detail + " (" + block + ", byte " + offsetBytes + ")");
        this.offsetBytes = offsetBytes;
        this.block = block;
    }

    /** @return how far into the file the flaw is */
    public long offsetBytes() {
        return offsetBytes;
    }

    /** @return the format's name for the block that is broken */
    public String block() {
        return block;
    }
}
