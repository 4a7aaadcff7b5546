package dobbin.reel;

import dobbin.lettering.OwnTypeface;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Names of the files that a reel needs beside its document: pictures, and typefaces that were brought. */
final class UsedFiles {
    private UsedFiles() {}

    static Set<PictureRef> pictures(Reel reel) {
        Set<PictureRef> used = new LinkedHashSet<>();
        for (Frame frame : reel.frames()) {
            pictures(frame.content()).forEach(used::add);
            if (!frame.ink().none()) {
                used.add(frame.ink().ref());
            }
        }
        used.addAll(reel.backdrop().match(fill -> List.of(), still -> List.of(still.ref())));
        reel.cutouts().forEach(cutout -> pictures(cutout.art()).forEach(used::add));
        return used;
    }

    static Set<OwnTypeface> typefaces(Reel reel) {
        Set<OwnTypeface> used = new LinkedHashSet<>();
        reel.frames().forEach(frame -> typefaces(frame.content()).forEach(used::add));
        reel.cutouts().forEach(cutout -> typefaces(cutout.art()).forEach(used::add));
        used.removeIf(OwnTypeface::none);
        return used;
    }

    private static Stream<PictureRef> pictures(FrameContent content) {
        return content.match(
                still -> Stream.of(still.ref()),
                card -> Stream.of(),
                fade -> Stream.of(fade.from(), fade.to()).flatMap(UsedFiles::pictures));
    }

    private static Stream<PictureRef> pictures(Art art) {
        return art.match(
                cycle -> cycle.pictures().stream(),
                words -> Stream.of(),
                shape -> Stream.of(),
                group -> group.members().stream().map(Cutout::art).flatMap(UsedFiles::pictures));
    }

    private static Stream<OwnTypeface> typefaces(FrameContent content) {
        return content.match(
                still -> Stream.of(),
                card -> Stream.of(card.own()),
                fade -> Stream.of(fade.from(), fade.to()).flatMap(UsedFiles::typefaces));
    }

    private static Stream<OwnTypeface> typefaces(Art art) {
        return art.match(
                cycle -> Stream.of(),
                words -> Stream.of(words.own()),
                shape -> Stream.of(),
                group -> group.members().stream().map(Cutout::art).flatMap(UsedFiles::typefaces));
    }
}
