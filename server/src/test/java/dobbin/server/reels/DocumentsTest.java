package dobbin.server.reels;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.dither.Dithering;
import dobbin.edit.AddCard;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.LeaveOut;
import dobbin.edit.NameRun;
import dobbin.edit.NewStill;
import dobbin.raster.Size;
import dobbin.reel.Card;
import dobbin.reel.ContentName;
import dobbin.reel.Encoding;
import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.server.web.Json;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.SkerryPoint;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

class DocumentsTest {
    private static final String FIRST_VERSION = """
            {"name":"Tide","canvas":{"width":960,"height":640},"frames":[
            {"id":1,"delayMillis":100,"still":{"picture":"%1$s","name":"Tide 1.jpg","size":{"width":960,"height":640}}},
            {"id":4,"delayMillis":700,"still":{"picture":"%1$s","name":"Tide 2.jpg","size":{"width":800,"height":600}}}],
            "plays":{"times":3},"delivery":{"width":480,"colors":64,"dither":"ERROR","matte":""},
            "budgetBytes":500000,"nextFrameId":5}""".formatted("a".repeat(64));

    private static Documents documents() {
        JsonMapper.Builder builder = JsonMapper.builder();
        new Json().coreShapes().customize(builder);
        return new Documents(builder.build());
    }

    @Test
    void whatTheFirstVersionStoredIsRead() {
        Reel reel = documents().read(FIRST_VERSION);
        Still second = new Still("a".repeat(64), "Tide 2.jpg", new Size(800, 600), Fit.USUAL);
        assertThat(reel.frames()).hasSize(2).element(1).isEqualTo(Frame.of(4, 700, second));
        assertThat(reel.nextId()).isEqualTo(5);
        assertThat(reel.plays().times()).isEqualTo(3);
        assertThat(reel.runs()).isEmpty();
    }

    @Test
    void whatTheSecondVersionStoredIsRead() {
        String second = thirdVersion()
                .replaceAll("\"(backdrop|border)\":\\{[^}]*\\},", "")
                .replace("\"cutouts\":[],", "");
        assertThat(second).doesNotContain("cutouts").doesNotContain("backdrop").doesNotContain("border");
        assertThat(documents().read(second)).isEqualTo(documents().read(FIRST_VERSION));
    }

    @Test
    void whatTheThirdVersionStoredIsRead() {
        Reel reel = documents().read(thirdVersion());
        assertThat(reel).isEqualTo(documents().read(FIRST_VERSION));
        assertThat(reel.delivery().encoding()).isEqualTo(Encoding.USUAL);
        assertThat(reel.delivery().dithering()).isEqualTo(Dithering.USUAL);
    }

    /** As it is written today, without the finer settings and with the dither that had no name. */
    private static String thirdVersion() {
        String current = documents().write(documents().read(FIRST_VERSION));
        String third = current.replaceAll(",\"encoding\":\\{[^}]*\\}", "").replace("SIERRA_LITE", "ERROR");
        assertThat(third).doesNotContain("encoding").contains("\"dither\":\"ERROR\"");
        return third;
    }

    @Test
    void cutOutsOfAllKindsComeBackTheSame() {
        DemoFolder folder = SkerryPoint.crossing();
        Reel reel = Edit.apply(new AddStills(stills(folder), 0), Reel.empty("Crossing"));
        for (Edit edit : folder.edits()) {
            reel = Edit.apply(edit, reel);
        }
        assertThat(reel.cutouts()).hasSize(5);
        assertThat(documents().read(documents().write(reel))).isEqualTo(reel);
    }

    private static List<NewStill> stills(DemoFolder folder) {
        return folder.files().stream()
                .map(file -> new NewStill(ContentName.of(file.bytes()), file.name(), new Size(480, 320), 90))
                .toList();
    }

    @Test
    void whatIsStoredComesBackTheSame() {
        Reel reel = documents().read(FIRST_VERSION);
        reel = Edit.apply(new AddCard(Card.blank("9cc3e0"), 1_500, 4), reel);
        reel = Edit.apply(new NameRun(List.of(4, 5), "End"), reel);
        reel = Edit.apply(new LeaveOut(List.of(1), true), reel);
        assertThat(documents().read(documents().write(reel))).isEqualTo(reel);
    }
}
