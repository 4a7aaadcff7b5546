package dobbin.gif;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.still.DecodeLimits;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Files made of everything the format has, whole and damaged: frames or the format's own error, within the limits. */
class GifFuzzTest {
    private static final int FILES = Integer.getInteger("dobbin.fuzz", 4_000);
    private static final DecodeLimits LIMITS = new DecodeLimits(20_000, 12, 100_000);

    @Test
    void wholeFilesAreReadToTheEnd() throws Exception {
        for (int seed = 0; seed < FILES; seed++) {
            Random random = new Random(seed);
            int wanted = 1 + random.nextInt(5);
            GifReader reader = GifReader.open(file(random, wanted), DecodeLimits.USUAL);
            int frames = 0;
            for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
                assertThat(frame.get().picture().size()).isEqualTo(reader.size());
                frames++;
            }
            assertThat(frames).as("seed %d", seed).isEqualTo(wanted);
            assertThat(reader.warnings()).as("seed %d", seed).isEmpty();
        }
    }

    @Test
    void damagedFilesGiveFramesOrTheFormatsOwnError() {
        int broken = 0;
        int read = 0;
        for (int seed = 0; seed < FILES; seed++) {
            Random random = new Random(seed);
            byte[] file = damaged(file(random, 1 + random.nextInt(5)), random);
            int frames = 0;
            try {
                GifReader reader = GifReader.open(file, LIMITS);
                for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
                    frames++;
                }
                assertThat(reader.warnings()).hasSizeLessThanOrEqualTo(20);
            } catch (GifFormatException e) {
                assertThat(e.getMessage()).contains("byte");
                broken++;
            }
            assertThat(frames).as("seed %d", seed).isLessThanOrEqualTo(LIMITS.maxFrames());
            read += frames;
        }
        assertThat(broken).isBetween(FILES / 50, FILES / 2);
        assertThat(read).isGreaterThan(FILES);
    }

    private static byte[] damaged(byte[] file, Random random) {
        for (int hits = random.nextInt(6); hits >= 0; hits--) {
            file[random.nextInt(file.length)] = (byte) random.nextInt(256);
        }
        if (random.nextInt(4) == 0) {
            return Arrays.copyOf(file, 1 + random.nextInt(file.length));
        }
        if (random.nextInt(4) == 0) {
            int from = random.nextInt(file.length);
            int to = random.nextInt(file.length);
            System.arraycopy(file, from, file, to, file.length - Math.max(from, to));
        }
        return file;
    }

    private static byte[] file(Random random, int frames) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        text(out, random.nextBoolean() ? "GIF89a" : "GIF87a");
        int width = 1 + random.nextInt(30);
        int height = 1 + random.nextInt(30);
        int tableBits = 1 + random.nextInt(8);
        bytes(out, width, 0, height, 0, 0x80 | tableBits - 1, random.nextInt(256), 0);
        table(out, tableBits, random);
        for (int frame = 0; frame < frames; frame++) {
            if (random.nextInt(3) == 0) {
                extension(out, random);
            }
            if (random.nextBoolean()) {
                bytes(out, 0x21, 0xF9, 4, random.nextInt(256), random.nextInt(256), 0, random.nextInt(256), 0);
            }
            image(out, random, tableBits);
        }
        bytes(out, 0x3B);
        return out.toByteArray();
    }

    private static void extension(ByteArrayOutputStream out, Random random) {
        if (random.nextBoolean()) {
            bytes(out, 0x21, 0xFF, 11);
            text(out, random.nextBoolean() ? "NETSCAPE2.0" : "ANIMEXTS1.0");
            bytes(out, 3, 1, random.nextInt(256), random.nextInt(256), 0);
        } else {
            bytes(out, 0x21, 0xFE, 5);
            text(out, "ferry");
            bytes(out, 0);
        }
    }

    private static void image(ByteArrayOutputStream out, Random random, int globalBits) {
        int width = 1 + random.nextInt(40);
        int height = 1 + random.nextInt(40);
        boolean local = random.nextInt(3) == 0;
        int bits = local ? 1 + random.nextInt(8) : globalBits;
        int packed = (local ? 0x80 | bits - 1 : 0) | (random.nextBoolean() ? 0x40 : 0);
        bytes(out, 0x2C, random.nextInt(35), 0, random.nextInt(35), 0, width, 0, height, 0, packed);
        if (local) {
            table(out, bits, random);
        }
        int codeSize = Math.max(2, bits);
        byte[] indices = new byte[width * height];
        for (int i = 0; i < indices.length; i++) {
            indices[i] = (byte) (random.nextInt(3) == 0 ? random.nextInt(1 << bits) : i == 0 ? 0 : indices[i - 1]);
        }
        byte[] data = new LzwEncoder().encode(indices, codeSize);
        bytes(out, codeSize);
        for (int at = 0; at < data.length; ) {
            int length = Math.min(1 + random.nextInt(255), data.length - at);
            bytes(out, length);
            out.write(data, at, length);
            at += length;
        }
        bytes(out, 0);
    }

    private static void table(ByteArrayOutputStream out, int bits, Random random) {
        byte[] colors = new byte[3 << bits];
        random.nextBytes(colors);
        out.writeBytes(colors);
    }

    private static void text(ByteArrayOutputStream out, String ascii) {
        out.writeBytes(ascii.getBytes(StandardCharsets.US_ASCII));
    }

    private static void bytes(ByteArrayOutputStream out, int... values) {
        for (int value : values) {
            out.write(value);
        }
    }
}
