package dobbin.gif;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.dither.Dithering;
import dobbin.palette.Palette;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GifRoundTripTest {
    private record Loop(Size size, Palette palette, List<byte[]> frames, int[] hundredths) {
        byte[] file(int plays) throws IOException {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            write(out, plays);
            return out.toByteArray();
        }

        List<EncodedFrame> write(ByteArrayOutputStream out, int plays) throws IOException {
            GifSettings settings = new GifSettings(palette, true, true, Dithering.USUAL, 50, plays, "");
            LoopEncoder encoder = new LoopEncoder(size, settings, Runnable::run);
            for (int i = 0; i < frames.size(); i++) {
                encoder.add(shown(i), palette);
            }
            List<EncodedFrame> encoded = encoder.finish();
            out.writeBytes(GifFile.bytes(size, settings, encoded, hundredths));
            return encoded;
        }

        Raster shown(int frame) {
            int[] argb = new int[Math.toIntExact(size.area())];
            for (int i = 0; i < argb.length; i++) {
                int index = frames.get(frame)[i] & 0xFF;
                argb[i] = index == palette.transparentIndex() ? 0 : 0xFF000000 | palette.rgb(index);
            }
            return Raster.of(size, argb);
        }
    }

    /** Random loops: some frames equal, some change a box, some are new; with and without transparency. */
    private static Loop loop(int seed) {
        Random random = new Random(seed);
        Size size = new Size(1 + random.nextInt(23), 1 + random.nextInt(19));
        int[] colors =
                random.ints(1 + random.nextInt(255), 0, 1 << 24).distinct().toArray();
        Palette palette = seed % 2 == 0 ? Palette.of(false, colors) : Palette.of(true, colors);
        List<byte[]> frames = new ArrayList<>();
        int count = 1 + random.nextInt(8);
        for (int i = 0; i < count; i++) {
            byte[] frame =
                    i == 0 ? new byte[(int) size.area()] : frames.get(i - 1).clone();
            int changes = random.nextInt(3) * random.nextInt(frame.length + 1);
            for (int change = 0; change < changes; change++) {
                frame[random.nextInt(frame.length)] = (byte) random.nextInt(palette.entries());
            }
            frames.add(frame);
        }
        return new Loop(size, palette, frames, random.ints(count, 0, 8000).toArray());
    }

    @Test
    void framesComeBackPixelForPixelWithTheirDelays() throws Exception {
        for (int seed = 0; seed < 400; seed++) {
            Loop loop = loop(seed);
            ByteArrayOutputStream file = new ByteArrayOutputStream();
            List<EncodedFrame> stored = loop.write(file, 0);
            GifReader reader = GifReader.open(file.toByteArray(), DecodeLimits.USUAL);
            for (EncodedFrame weight : stored) {
                GifFrame frame = reader.next().orElseThrow();
                int hundredths = 0;
                for (int i = weight.first(); i < weight.first() + weight.frames(); i++) {
                    assertThat(frame.picture()).as("seed %d, frame %d", seed, i).isEqualTo(loop.shown(i));
                    hundredths += loop.hundredths[i];
                }
                assertThat(frame.delayHundredths()).isEqualTo(hundredths);
            }
            assertThat(stored.stream().mapToInt(EncodedFrame::frames).sum()).isEqualTo(loop.frames.size());
            assertThat(reader.next()).isEmpty();
            assertThat(reader.warnings()).isEmpty();
        }
    }

    @Test
    void theJdksReaderSeesTheSamePixels() throws Exception {
        for (int seed = 0; seed < 120; seed++) {
            Loop loop = loop(seed);
            ByteArrayOutputStream file = new ByteArrayOutputStream();
            List<EncodedFrame> stored = loop.write(file, 0);
            List<Raster> shown = JdkScreen.shown(file.toByteArray(), loop.size);
            for (int i = 0; i < stored.size(); i++) {
                int frame = stored.get(i).first();
                assertThat(shown.get(i)).as("seed %d, frame %d", seed, frame).isEqualTo(loop.shown(frame));
            }
        }
    }

    /** Every palette size there is, and shapes that are one pixel wide, very long, or prime. */
    @Test
    void everyPaletteSizeAndOddShapesComeBack() throws Exception {
        int[][] shapes = {{1, 1}, {1, 4000}, {4000, 1}, {97, 89}, {8, 4}, {9, 5}, {257, 3}};
        for (int entries = 1; entries <= 256; entries++) {
            int[] colors = new int[entries];
            Arrays.setAll(colors, i -> i * 0x010203);
            int[] shape = shapes[entries % shapes.length];
            Size size = new Size(shape[0], shape[1]);
            byte[] frame = new byte[(int) size.area()];
            for (int i = 0; i < frame.length; i++) {
                frame[i] = (byte) (i * 7 % entries);
            }
            Loop loop = new Loop(size, Palette.of(false, colors), List.of(frame), new int[] {5});
            GifReader reader = GifReader.open(loop.file(0), DecodeLimits.USUAL);
            assertThat(reader.next().orElseThrow().picture())
                    .as("%d entries", entries)
                    .isEqualTo(loop.shown(0));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 1000})
    void playsComeBack(int plays) throws Exception {
        byte[] file = loop(3).file(plays);
        GifReader reader = GifReader.open(file, DecodeLimits.USUAL);
        while (reader.next().isPresent()) {
            assertThat(reader.size()).isEqualTo(loop(3).size);
        }
        assertThat(reader.plays()).isEqualTo(plays);
        assertThat(new String(file, "ISO-8859-1").contains("NETSCAPE2.0")).isEqualTo(plays != 1);
    }

    /** One red pixel: every byte as the specification lays it out. */
    @Test
    void theSmallestFileIsTheExpectedBytes() throws Exception {
        Loop dot = new Loop(new Size(1, 1), Palette.of(false, 0xFF0000), List.of(new byte[1]), new int[] {300});
        int[] expected = {
            'G', 'I', 'F', '8', '9', 'a', 1, 0, 1, 0, 0xF0, 0, 0, 0xFF, 0, 0, 0, 0, 0, 0x21, 0xF9, 4, 4, 0x2C, 1, 0, 0,
            0x2C, 0, 0, 0, 0, 1, 0, 1, 0, 0, 2, 2, 0x44, 0x01, 0, 0x3B
        };
        byte[] bytes = new byte[expected.length];
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = (byte) expected[i];
        }
        assertThat(dot.file(1)).isEqualTo(bytes);
    }

    @Test
    void aFrameThatRepeatsCostsNothing() throws Exception {
        Random random = new Random(1);
        byte[] picture = new byte[100 * 100];
        random.nextBytes(picture);
        Palette palette = Palette.of(false, random.ints(256, 0, 1 << 24).toArray());
        Size size = new Size(100, 100);
        int once = new Loop(size, palette, List.of(picture), new int[] {5}).file(0).length;
        int twice = new Loop(size, palette, List.of(picture, picture), new int[] {5, 5}).file(0).length;
        assertThat(twice - once).as("the delay grows, the file does not").isZero();
    }

    @Test
    void whereverAFileBreaksOffWhatCameBeforeIsKept() throws Exception {
        Loop loop = loop(7);
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        int stored = loop.write(whole, 0).size();
        byte[] file = whole.toByteArray();
        int most = 0;
        for (int length = 0; length < file.length; length++) {
            int frames = framesOf(Arrays.copyOf(file, length));
            assertThat(frames).isBetween(most == 0 ? 0 : most - 1, stored);
            most = Math.max(most, frames);
        }
        assertThat(most).isEqualTo(stored);
    }

    @Test
    void damagedFilesGiveFramesOrTheFormatsOwnError() throws Exception {
        for (int seed = 0; seed < 4_000; seed++) {
            Random random = new Random(seed);
            byte[] file = loop(seed % 50).file(0);
            for (int hits = 1 + random.nextInt(6); hits > 0; hits--) {
                file[random.nextInt(file.length)] = (byte) random.nextInt(256);
            }
            assertThat(framesOf(file)).as("seed %d", seed).isLessThanOrEqualTo(DecodeLimits.USUAL.maxFrames());
        }
    }

    @Test
    void limitsAreCheckedBeforeAnythingIsAllocated() throws Exception {
        byte[] huge = loop(2).file(0);
        Arrays.fill(huge, 6, 10, (byte) 0xFF);
        assertThatThrownBy(() -> GifReader.open(huge, DecodeLimits.USUAL))
                .isInstanceOf(GifFormatException.class)
                .hasMessageContaining("65535 x 65535");
        GifReader one = GifReader.open(loop(7).file(0), new DecodeLimits(1_000, 1, 100_000));
        assertThat(one.next()).isPresent();
        assertThat(one.next()).isEmpty();
        assertThat(one.warnings()).singleElement().asString().contains("More than 1 frames");
        assertThatThrownBy(() -> GifReader.open("ferry".getBytes("UTF-8"), DecodeLimits.USUAL))
                .isInstanceOf(GifFormatException.class);
    }

    /** @return the number of frames, 0 where the format's own error was thrown */
    private static int framesOf(byte[] file) {
        int frames = 0;
        try {
            GifReader reader = GifReader.open(file, new DecodeLimits(4_000_000, 2_000, 1_000_000));
            for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
                frames++;
            }
        } catch (GifFormatException e) {
            assertThat(e.getMessage()).isNotBlank();
            return 0;
        }
        return frames;
    }
}
