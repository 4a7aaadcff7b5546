package dobbin.lettering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.lettering.TextBlock.Align;
import dobbin.lettering.Typeface.Weight;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class OwnTypefaceTest {
    private static byte[] lora() throws IOException {
        try (InputStream file = Typeface.class.getResourceAsStream("Lora-Regular.ttf")) {
            return file.readAllBytes();
        }
    }

    private static double widthOf(String text, OwnTypeface own) {
        FontStack fonts = FontStack.of(Typeface.PLAIN, Weight.REGULAR, own);
        return new TextBlock(text, fonts, 40, Align.LEFT, Double.MAX_VALUE).width();
    }

    @Test
    void itsLettersComeBeforeThoseOfTheTypeface() throws Exception {
        OwnTypeface own = OwnTypeface.of(lora(), "a1");
        assertThat(own.name()).isEqualTo("Lora Regular");
        FontStack book = FontStack.of(Typeface.BOOK, Weight.REGULAR, OwnTypeface.NONE);
        double expected = new TextBlock("ferry", book, 40, Align.LEFT, Double.MAX_VALUE).width();
        assertThat(widthOf("ferry", own)).isEqualTo(expected).isNotEqualTo(widthOf("ferry", OwnTypeface.NONE));
        assertThat(widthOf("灯台", own)).isEqualTo(widthOf("灯台", OwnTypeface.NONE));
    }

    @Test
    void whatIsNoTypefaceIsRefusedWithAReason() throws Exception {
        assertRefused(new byte[0], "is no typeface in the form of TTF or OTF");
        assertRefused("GIF89a and more".getBytes(), "is no typeface in the form of TTF or OTF");
        byte[] collection = lora();
        ByteBuffer.wrap(collection).putInt(0, 0x74746366);
        assertRefused(collection, "holds several typefaces. Take one of them out of it, as a TTF or OTF");
        assertRefused(Arrays.copyOf(lora(), 5000), "is a damaged typeface");
        assertRefused(new byte[OwnTypeface.LARGEST_FILE + 1], "is larger than 32 MB");
        byte[] noLetters = lora();
        rename(noLetters, "glyf", "glyx");
        assertRefused(noLetters, "has no letters that can be drawn");
    }

    /** Native code reads the file: whatever is in it must be refused, or read, and end nothing. */
    @Test
    void changedBytesOfItsHeadAreRefusedOrRead() throws Exception {
        byte[] whole = lora();
        Random random = new Random(7);
        int refused = 0;
        for (int i = 0; i < 300; i++) {
            byte[] changed = whole.clone();
            for (int k = 0; k < 3; k++) {
                changed[random.nextInt(300)] = (byte) random.nextInt();
            }
            try {
                TypefaceFile.read(changed);
            } catch (UnusableTypeface e) {
                refused++;
            }
        }
        assertThat(refused).isGreaterThan(200);
    }

    private static void rename(byte[] file, String from, String to) {
        for (int i = 12; i < 600; i++) {
            if (new String(file, i, 4, java.nio.charset.StandardCharsets.ISO_8859_1).equals(from)) {
                System.arraycopy(to.getBytes(), 0, file, i, 4);
                return;
            }
        }
        throw new AssertionError("no table " + from);
    }

    private static void assertRefused(byte[] file, String clause) {
        assertThatThrownBy(() -> OwnTypeface.of(file, "b2"))
                .isInstanceOf(UnusableTypeface.class)
                .hasMessage(clause);
    }
}
