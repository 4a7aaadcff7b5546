package dobbin.reel;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Names things by what they are: the SHA-256 of their bytes. Equal names, equal content. */
public final class ContentName {
    private ContentName() {}

    /** @return 64 hexadecimal digits */
    public static String of(byte[] content) {
        MessageDigest digest = digest();
        digest.update(content);
        return of(digest);
    }

    /** @return the name of all that the digest was given; it begins anew */
    public static String of(MessageDigest digest) {
        return HexFormat.of().formatHex(digest.digest());
    }

    /** @return a digest for content that comes piece by piece */
    public static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }

    public static String of(String content) {
        return of(content.getBytes(StandardCharsets.UTF_8));
    }
}
