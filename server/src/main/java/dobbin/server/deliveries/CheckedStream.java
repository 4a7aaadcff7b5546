package dobbin.server.deliveries;

import dobbin.reel.ContentName;
import dobbin.server.web.Refused;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.security.DigestInputStream;
import org.springframework.http.HttpStatus;

/** A delivered file as it comes, whose last bytes come only if all of it is what was delivered. */
final class CheckedStream extends FilterInputStream {
    private final DigestInputStream digested;
    private final String sha256;
    private long left;

    /**
     * @param size of the file, in bytes
     * @param sha256 of the file when it was delivered; null for those of earlier versions, which are not checked
     */
    CheckedStream(InputStream in, long size, String sha256) {
        this(new DigestInputStream(in, ContentName.digest()), size, sha256);
    }

    private CheckedStream(DigestInputStream digested, long size, String sha256) {
        super(digested);
        this.digested = digested;
        this.left = size;
        this.sha256 = sha256;
    }

    /** @throws Refused where this is the end, and it is not what was delivered */
    @Override
    public int read() throws IOException {
        int value = super.read();
        came(value < 0 ? -1 : 1);
        return value;
    }

    /** @throws Refused where this is the end, and it is not what was delivered */
    @Override
    public int read(byte[] buffer, int from, int length) throws IOException {
        int count = super.read(buffer, from, length);
        came(count);
        return count;
    }

    private void came(int count) {
        boolean early = count < 0 && left > 0;
        left -= Math.max(0, count);
        boolean complete = left == 0 && count > 0;
        if (sha256 != null && (early || left < 0 || complete && !hash().equals(sha256))) {
            throw new Refused(
                    HttpStatus.INTERNAL_SERVER_ERROR,
                    "This delivery is damaged on the disk: it is not the file that was made. Deliver it again, or put a"
                            + " backup of the data file back.");
        }
    }

    private String hash() {
        return ContentName.of(digested.getMessageDigest());
    }
}
