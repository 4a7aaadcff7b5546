package dobbin.reel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.dither.Dither;
import dobbin.palette.PaletteChoice;
import java.util.Collections;
import java.util.List;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

class EncodingTest {
    @Test
    void theEndsOfEveryRangeAreTaken() {
        assertThat(new Encoding(0, PaletteChoice.LOOP, 0, 1, List.of(), "").tolerance())
                .isZero();
        Encoding most = new Encoding(
                100, PaletteChoice.FRAME, 100, 255, Collections.nCopies(64, "00fF7f"), " " + "t".repeat(1000) + " ");
        assertThat(most.keptRgb()).hasSize(64).containsOnly(0x00FF7F);
        assertThat(most.comment()).hasSize(1000);
    }

    @Test
    void whatIsOutOfRangeIsRefusedByItsField() {
        refuses("ditherAmount", () -> new Encoding(101, PaletteChoice.AUTO, 20, 128, List.of(), ""));
        refuses("ditherAmount", () -> new Encoding(-1, PaletteChoice.AUTO, 20, 128, List.of(), ""));
        refuses("palette", () -> new Encoding(85, null, 20, 128, List.of(), ""));
        refuses("tolerance", () -> new Encoding(85, PaletteChoice.AUTO, 101, 128, List.of(), ""));
        refuses("alphaCutoff", () -> new Encoding(85, PaletteChoice.AUTO, 20, 0, List.of(), ""));
        refuses("alphaCutoff", () -> new Encoding(85, PaletteChoice.AUTO, 20, 256, List.of(), ""));
        refuses("keptColors", () -> new Encoding(85, PaletteChoice.AUTO, 20, 128, List.of("rein"), ""));
        refuses(
                "keptColors",
                () -> new Encoding(85, PaletteChoice.AUTO, 20, 128, Collections.nCopies(65, "000000"), ""));
        refuses("comment", () -> new Encoding(85, PaletteChoice.AUTO, 20, 128, List.of(), "t".repeat(1001)));
    }

    @Test
    void aDeliveryHasRoomForMoreThanItsKeptColors() {
        Encoding two = new Encoding(85, PaletteChoice.AUTO, 20, 128, List.of("000000", "FFFFFF"), "");
        assertThat(new Delivery(100, 3, Dither.NONE, "", two).encoding()).isEqualTo(two);
        refuses("keptColors", () -> new Delivery(100, 2, Dither.NONE, "", two));
        refuses("encoding", () -> new Delivery(100, 2, Dither.NONE, "", null));
    }

    @Test
    void aNewReelIsDeliveredAsUsual() {
        Delivery usual = Delivery.USUAL;
        assertThat(usual.encoding()).isEqualTo(Encoding.USUAL);
        assertThat(usual.dithering().dither()).isEqualTo(Dither.SIERRA_LITE);
        assertThat(usual.dithering().amount()).isEqualTo(85);
        assertThat(usual.withWidth(320).encoding()).isEqualTo(Encoding.USUAL);
    }

    private static void refuses(String field, ThrowingCallable making) {
        assertThatThrownBy(making)
                .isInstanceOfSatisfying(
                        OutOfRange.class, refused -> assertThat(refused.field()).isEqualTo(field));
    }
}
