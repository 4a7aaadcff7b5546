package dobbin.server.reels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.document.ReelDocument;
import dobbin.document.UnreadableDocument;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.edit.SetDelay;
import dobbin.raster.Size;
import dobbin.reel.ContentName;
import dobbin.reel.Reel;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class PackingTest {
    @Test
    void packedDocumentsComeBackAndTakeLittle() {
        List<NewStill> stills = IntStream.range(0, 500)
                .mapToObj(
                        i -> new NewStill(ContentName.of("picture " + i), "Tide " + i + ".jpg", new Size(960, 640), 0))
                .toList();
        Reel reel = Edit.apply(new AddStills(stills, 0), Reel.empty("Tide"));
        byte[] before = ReelDocument.write(reel);
        byte[] after = ReelDocument.write(Edit.apply(new SetDelay(List.of(7), 240), reel));
        byte[] packed = Packing.pack(after, before);
        assertThat(Packing.unpack(packed, before)).isEqualTo(after);
        assertThat(packed).hasSizeLessThan(400);
        assertThat(Packing.unpack(Packing.pack(before))).isEqualTo(before);
        packed[packed.length / 2] ^= 4;
        assertThatThrownBy(() -> Packing.unpack(packed, before)).isInstanceOf(UnreadableDocument.class);
    }
}
