package dobbin.server.reels;

import com.github.luben.zstd.Zstd;
import com.github.luben.zstd.ZstdCompressCtx;
import com.github.luben.zstd.ZstdDecompressCtx;
import com.github.luben.zstd.ZstdException;
import dobbin.document.UnreadableDocument;

/**
 * Documents as they lie in the database: compressed, and told from an earlier document where there is one, so that a step
 * that changed little takes little.
 */
final class Packing {
    private static final int LEVEL = 5;
    /** Far more than a document can have; what claims more is damaged. */
    private static final long MOST_BYTES = 200_000_000;

    private static final byte[] NONE = {};

    private Packing() {}

    static byte[] pack(byte[] document) {
        return pack(document, NONE);
    }

    static byte[] unpack(byte[] packed) {
        return unpack(packed, NONE);
    }

    /** @param base the document it is told from */
    static byte[] pack(byte[] document, byte[] base) {
        try (ZstdCompressCtx context = new ZstdCompressCtx()) {
            context.setLevel(LEVEL);
            context.setChecksum(true);
            if (base.length > 0) {
                context.loadDict(base);
            }
            return context.compress(document);
        }
    }

    /** @throws UnreadableDocument where it is damaged, which its checksum tells */
    static byte[] unpack(byte[] packed, byte[] base) {
        try (ZstdDecompressCtx context = new ZstdDecompressCtx()) {
            long bytes = Zstd.getFrameContentSize(packed);
            if (bytes < 0 || bytes > MOST_BYTES) {
                throw new UnreadableDocument("This reel is damaged: what is stored of it cannot be unpacked.");
            }
            if (base.length > 0) {
                context.loadDict(base);
            }
            return context.decompress(packed, (int) bytes);
        } catch (ZstdException e) {
            throw new UnreadableDocument("This reel is damaged: what is stored of it cannot be unpacked.", e);
        }
    }
}
