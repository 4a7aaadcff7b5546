package dobbin.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.edit.AddCard;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.LeaveOut;
import dobbin.edit.NameRun;
import dobbin.edit.NewStill;
import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Aligned;
import dobbin.reel.Card;
import dobbin.reel.ContentName;
import dobbin.reel.Cutout;
import dobbin.reel.Encoding;
import dobbin.reel.Fit;
import dobbin.reel.Light;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.reel.Tracks;
import dobbin.render.Pictures;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.SkerryPoint;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.still.DecodeLimits;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

class ReelDocumentTest {
    /** As they were stored by the version that had that form, with the demo's reels. */
    private static byte[] stored(int format) throws IOException {
        return resource("format-" + format + ".json");
    }

    private static byte[] resource(String name) throws IOException {
        try (InputStream in = ReelDocumentTest.class.getResourceAsStream("/documents/" + name)) {
            return in.readAllBytes();
        }
    }

    /** What old documents become does not change with what is usual in new ones. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void everyFormBecomesWhatItAlwaysBecame(int format) throws Exception {
        JsonNode upgraded = new Upgrades(ReelDocument.JSON).current(ReelDocument.JSON.readTree(stored(format)));
        assertThat(upgraded).isEqualTo(ReelDocument.JSON.readTree(resource("format-" + format + "-now.json")));
    }

    @ParameterizedTest
    @CsvSource({
        "1, Last ferry at six",
        "2, Last ferry at six",
        "3, The evening crossing",
        "4, The evening crossing",
        "5, The evening crossing",
        "6, The evening crossing",
        "7, The evening crossing",
        "8, The evening crossing",
        "9, The evening crossing",
        "10, The evening crossing"
    })
    void everyFormThatWasEverStoredIsOpenedAndDelivered(int format, String name) throws Exception {
        Reel reel = ReelDocument.read(stored(format));
        assertThat(reel.name()).isEqualTo(name);
        assertThat(reel.frames()).isNotEmpty();
        assertThat(reel.delivery().encoding()).isEqualTo(Encoding.USUAL);
        assertThat(ReelDocument.read(ReelDocument.write(reel))).isEqualTo(reel);
        Pictures gray = (picture, level) -> Raster.filled(new Size(32, 24), 0xFF808080);
        byte[] file = new Slim(Runnable::run)
                .deliver(reel.withDelivery(reel.delivery().withWidth(48)), gray, Progress.NONE)
                .bytes();
        assertThat(GifReader.open(file, DecodeLimits.USUAL).size().width()).isEqualTo(48);
    }

    @Test
    void theTenthFormMayHaveControlCharactersInNames() throws Exception {
        String document = new String(stored(10), StandardCharsets.UTF_8)
                .replace("The evening crossing", "The evening\\ncrossing\u202e\\u0007");
        assertThat(ReelDocument.read(document.getBytes(StandardCharsets.UTF_8)).name())
                .isEqualTo("The evening crossing");
        String now = document.replace("\"format\":10", "\"format\":11");
        assertThatThrownBy(() -> ReelDocument.read(now.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(UnreadableDocument.class)
                .rootCause()
                .hasMessage("must have no control characters, such as line breaks");
    }

    @Test
    void theFirstFormHasRunsCardsAndFitsAsTheyWere() throws Exception {
        Reel reel = ReelDocument.read(stored(1));
        assertThat(reel.runs()).isEmpty();
        assertThat(reel.frames()).allSatisfy(frame -> {
            assertThat(frame.leftOut()).isFalse();
            assertThat(((Still) frame.content()).fit()).isEqualTo(Fit.USUAL);
        });
        assertThat(reel.frames()).isEqualTo(ReelDocument.read(stored(2)).frames());
    }

    @Test
    void cutOutsOfTheThirdFormAreWhereTheyWereAndShowWhatTheyDid() throws Exception {
        Reel reel = ReelDocument.read(stored(3));
        Cutout gull = reel.cutouts().stream()
                .filter(each -> each.name().equals("Gull"))
                .findFirst()
                .orElseThrow();
        Tracks tracks = new Tracks(reel.frames());
        assertThat(gull.away()).isEmpty();
        assertThat(IntStream.range(0, 6).mapToObj(i -> tracks.turn(gull, i))).containsExactly(0, 0, 1, 1, 0, 0);
    }

    @Test
    void stillsOfTheEighthFormLieAsTheyDid() throws Exception {
        Reel reel = ReelDocument.read(stored(8));
        assertThat(reel.frames().get(0).content()).isInstanceOfSatisfying(Still.class, still -> {
            assertThat(still.aligned()).isEqualTo(Aligned.NONE);
            assertThat(still.taken()).isEqualTo(Still.NO_TIME);
        });
        assertThat(reel.frames().get(1).ink().y()).isEqualTo(-8);
    }

    @Test
    void stillsOfTheNinthFormLieWhereTheyWereLinedUp() throws Exception {
        Reel reel = ReelDocument.read(stored(9));
        assertThat(reel.frames().get(0).content()).isInstanceOfSatisfying(Still.class, still -> {
            assertThat(still.aligned()).isEqualTo(new Aligned(3.5, -2.25, 1.5, 1.02, 0.88));
            assertThat(still.light()).isEqualTo(new Light(1.05, -0.01));
        });
    }

    @Test
    void aReelByAnyNameIsWhatItIs() {
        Reel reel = Reel.empty("\"encoding\" of \"nextFrameId\"");
        assertThat(ReelDocument.read(ReelDocument.write(reel))).isEqualTo(reel);
    }

    @Test
    void whatALaterVersionStoredIsNotGuessedAt() {
        byte[] later = "{\"format\":99,\"reel\":{}}".getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> ReelDocument.read(later))
                .isInstanceOf(UnreadableDocument.class)
                .hasMessageContaining("a later version of Dobbin");
        assertThatThrownBy(() -> ReelDocument.read("{\"name\":".getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(UnreadableDocument.class)
                .hasMessageContaining("damaged");
    }

    private static Reel withStills(int count) {
        List<NewStill> stills = IntStream.range(0, count)
                .mapToObj(
                        i -> new NewStill(ContentName.of("picture " + i), "Tide " + i + ".jpg", new Size(960, 640), 0))
                .toList();
        return Edit.apply(new AddStills(stills, 0), Reel.empty("Tide"));
    }

    @Test
    void cutOutsOfAllKindsComeBackTheSame() {
        DemoFolder folder = SkerryPoint.crossing();
        Reel reel = Edit.apply(new AddStills(stills(folder), 0), Reel.empty("Crossing"));
        for (Edit edit : folder.edits()) {
            reel = Edit.apply(edit, reel);
        }
        assertThat(reel.cutouts()).hasSize(5);
        assertThat(ReelDocument.read(ReelDocument.write(reel))).isEqualTo(reel);
    }

    private static List<NewStill> stills(DemoFolder folder) {
        return folder.files().stream()
                .map(file -> new NewStill(ContentName.of(file.bytes()), file.name(), new Size(480, 320), 90))
                .toList();
    }

    @Test
    void whatIsStoredComesBackTheSame() {
        Reel reel = withStills(4);
        reel = Edit.apply(new AddCard(Card.blank("9cc3e0"), 1_500, 4), reel);
        reel = Edit.apply(new NameRun(List.of(4, 5), "End"), reel);
        reel = Edit.apply(new LeaveOut(List.of(1), true), reel);
        assertThat(ReelDocument.read(ReelDocument.write(reel))).isEqualTo(reel);
    }
}
