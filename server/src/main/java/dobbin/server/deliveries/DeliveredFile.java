package dobbin.server.deliveries;

import dobbin.reel.ContentName;
import dobbin.server.web.Refused;
import java.io.ByteArrayInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;

/**
 * The file of a delivery.
 *
 * @param size in bytes
 * @param sha256 of the file when it was delivered; null for those of earlier versions
 * @param bytes all of it; null where it lies in a bucket
 * @param inBucket begins to read it there
 */
record DeliveredFile(String reel, String name, int size, String sha256, byte[] bytes, Supplier<InputStream> inBucket) {
    /**
     * @return the file; where it comes from a bucket its last bytes come only if all of it is what was delivered
     * @throws Refused where it is not, from a bucket when the stream comes to its end
     */
    InputStream checked() {
        if (bytes != null && sha256 != null && !ContentName.of(bytes).equals(sha256)) {
            throw damaged();
        }
        return bytes != null
                ? new ByteArrayInputStream(bytes)
                : new Checked(new DigestInputStream(inBucket.get(), digest()));
    }

    private static Refused damaged() {
        return new Refused(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "This delivery is damaged on the disk: it is not the file that was made. Deliver it again, or put a"
                        + " backup of the data file back.");
    }

    private final class Checked extends FilterInputStream {
        private final DigestInputStream digested;
        private long left = size;

        Checked(DigestInputStream digested) {
            super(digested);
            this.digested = digested;
        }

        @Override
        public int read() throws IOException {
            int value = super.read();
            came(value < 0 ? -1 : 1);
            return value;
        }

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
            if (early || left < 0 || complete && !hash().equals(sha256)) {
                throw damaged();
            }
        }

        private String hash() {
            return HexFormat.of().formatHex(digested.getMessageDigest().digest());
        }
    }

    private static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
