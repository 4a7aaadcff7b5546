package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import dobbin.server.worker.SvgBombs;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** SVG files whose clip paths take minutes, sent by one of three people. */
class DrawingsThatNeverEndTest {
    private static final int SENT = 2;
    private static final int LOOKS = 500;
    private static final int BETWEEN_LOOKS_NANOS = 20_000_000;

    @RegisterExtension
    private static final RunningServer server =
            new RunningServer("--dobbin.longest-reading=5s").with("Mara", "Ebbe", "Tove");

    @Test
    void twoPeopleDoNotWaitForTheThird() {
        Guest mara = Guest.of(server, "Mara");
        Guest ebbe = Guest.of(server, "Ebbe");
        Guest tove = Guest.of(server, "Tove");
        List<CompletableFuture<RunningServer.Answer>> sent = IntStream.range(0, SENT)
                .mapToObj(
                        i -> CompletableFuture.supplyAsync(() -> mara.upload(i + ".svg", SvgBombs.crossingClipPath(i))))
                .toList();
        for (int i = 0;
                i < LOOKS && ProcessHandle.current().children().findAny().isEmpty();
                i++) {
            LockSupport.parkNanos(BETWEEN_LOOKS_NANOS);
        }
        assertThat(stills(ebbe.upload("sea.png", RunningServer.png(new Size(12, 8), 0xFF2B6F86))))
                .isEqualTo(1);
        assertThat(stills(tove.upload("buoy.svg", SvgBombs.svg("<circle cx='240' cy='240' r='90'/>"))))
                .isEqualTo(1);
        assertThat(sent).noneMatch(CompletableFuture::isDone);
        for (CompletableFuture<RunningServer.Answer> each : sent) {
            assertThat(each.join().json().get("problem").asString())
                    .matches(
                            "“\\d.svg” takes (more than 5 s of a processor|too much memory) to be read. Save it anew.*");
        }
    }

    private static int stills(RunningServer.Answer answer) {
        return answer.json().get("stills").size();
    }
}
