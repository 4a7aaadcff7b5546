package dobbin.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.edit.AddCard;
import dobbin.edit.DismissNotice;
import dobbin.edit.Edit;
import dobbin.edit.SetDelivery;
import dobbin.inspect.Notice.Kind;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Card;
import dobbin.reel.Delivery;
import dobbin.reel.Reel;
import dobbin.slim.Slim;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A blue disc with a soft edge on pages of several colors. */
class PageCheckTest {
    private static final Size SIZE = new Size(40, 40);
    private static final int BLUE = 0x2B6F86;
    private static final int WHITE = 0xFFFFFF;
    private static final int BLACK = 0x101214;

    private static final Reel REEL = reel();
    private static final Raster CLEAN = disc(BLUE);
    /** As if it had been cut from a white page. */
    private static final Raster WHITISH = disc(0xE0F0F4);

    private static Reel reel() {
        Reel one = Edit.apply(new AddCard(Card.blank(""), 100, 0), Reel.empty("Disc"));
        return Edit.apply(new AddCard(Card.blank(""), 100, 1), one);
    }

    /** @param edge the color of pixels that are not wholly covered */
    private static Raster disc(int edge) {
        int[] argb = new int[(int) SIZE.area()];
        for (int i = 0; i < argb.length; i++) {
            double from = Math.hypot(i % SIZE.width() - 19.5, i / SIZE.width() - 19.5);
            int alpha = (int) Math.round(255 * Math.max(0, Math.min(1, (15 - from) / 3)));
            argb[i] = alpha == 0 ? 0 : alpha << 24 | (alpha == 255 ? BLUE : edge);
        }
        return Raster.of(SIZE, argb);
    }

    private static Reel with(Delivery delivery) {
        return REEL.withDelivery(delivery);
    }

    private static Reel mixedWith(String matte) {
        return with(REEL.delivery().withMatte(matte));
    }

    private static Optional<Notice> found(Reel reel, Raster drawn, int page) {
        return PageCheck.of(reel, page, frame -> drawn);
    }

    private static Reel mended(Reel reel, Raster drawn, int page) {
        return Edit.apply(found(reel, drawn, page).orElseThrow().fix(), reel);
    }

    @Test
    void edgesOfTheThingsOwnColorShowNoFringeAnywhere() {
        for (int page : new int[] {WHITE, BLACK, 0xF6F1E7, 0xB23A24}) {
            assertThat(found(REEL, CLEAN, page)).as("page %06x", page).isEmpty();
        }
    }

    @Test
    void edgesThatAreMixedWithAnotherPageShowOne() {
        assertThat(found(mixedWith("ffffff"), CLEAN, WHITE)).isEmpty();
        assertThat(found(mixedWith("ffffff"), CLEAN, 0xFEFEFD)).isEmpty();
        Notice notice = found(mixedWith("ffffff"), CLEAN, BLACK).orElseThrow();
        assertThat(notice.kind()).isEqualTo(Kind.FRINGE);
        assertThat(notice.frames()).containsExactly(1, 2);
        assertThat(notice.says())
                .isEqualTo("Frames 1 and 2 show a fringe on this page: the edges are mixed with #ffffff.");
        assertThat(notice.fix()).isEqualTo(new SetDelivery(REEL.delivery().withMatte("101214")));
        assertThat(found(mended(mixedWith("ffffff"), CLEAN, BLACK), CLEAN, BLACK))
                .isEmpty();
    }

    @Test
    void whatWasCutFromAWhitePageShowsOneOnABlackPageUntilItsEdgesAreCutOff() {
        assertThat(found(REEL, WHITISH, WHITE)).isEmpty();
        Notice notice = found(REEL, WHITISH, BLACK).orElseThrow();
        assertThat(notice.says()).endsWith("the edges have a color of their own.");
        Reel mixed = mended(REEL, WHITISH, BLACK);
        assertThat(found(mixed, WHITISH, BLACK).orElseThrow().act()).isEqualTo("Cut the soft edges off");
        Reel cut = mended(mixed, WHITISH, BLACK);
        assertThat(cut.delivery().encoding().alphaCutoff()).isEqualTo(240);
        assertThat(found(cut, WHITISH, BLACK)).isEmpty();
    }

    @Test
    void whatIsFilledWithAnotherColorShowsAsABox() {
        Delivery usual = REEL.delivery();
        Delivery filled = new Delivery(
                usual.framing(), usual.colors(), usual.coloring(), usual.dither(), "f6f1e7", true, usual.encoding());
        assertThat(found(with(filled), CLEAN, 0xF6F1E7)).isEmpty();
        Notice notice = found(with(filled), CLEAN, WHITE).orElseThrow();
        assertThat(notice.kind()).isEqualTo(Kind.BOX);
        assertThat(notice.says())
                .isEqualTo("What is transparent is filled with #f6f1e7, which shows as a box on this page.");
        assertThat(found(mended(with(filled), CLEAN, WHITE), CLEAN, WHITE)).isEmpty();
    }

    @Test
    void theDistanceFromTheNearestMixtureIsMeasured() {
        assertThat(Fringe.of(CLEAN, Slim.hardened(CLEAN, REEL.delivery()), BLACK))
                .isZero();
        Delivery onWhite = REEL.delivery().withMatte("ffffff");
        Raster mixed = Slim.hardened(CLEAN, onWhite);
        assertThat(Fringe.of(CLEAN, mixed, WHITE)).isBetween(0.0, 1.8);
        assertThat(Fringe.of(CLEAN, mixed, BLACK)).isBetween(11.0, 12.0);
    }

    @Test
    void whatIsOpaqueOrDismissedIsNotSaid() {
        assertThat(found(mixedWith("ffffff"), Raster.filled(SIZE, 0xFF000000), BLACK))
                .isEmpty();
        Reel mixed = mixedWith("ffffff");
        String key = found(mixed, CLEAN, BLACK).orElseThrow().key();
        Reel read = Edit.apply(new DismissNotice(key), mixed);
        assertThat(found(read, CLEAN, BLACK)).isEmpty();
        assertThat(found(read, CLEAN, 0xB23A24)).isPresent();
    }
}
