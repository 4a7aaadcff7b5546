package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** SVG files whose filters take minutes, sent by one of three people. */
class DrawingsThatNeverEndTest {
    private static final int SENT = 2;
    private static final int LOOKS = 500;
    private static final int BETWEEN_LOOKS_NANOS = 20_000_000;
    private static final String OPEN = "<svg xmlns='http://www.w3.org/2000/svg' width='%d' height='480'>";

    @RegisterExtension
    private static final RunningServer server =
            new RunningServer("--dobbin.longest-reading=8s").with("Mara", "Ebbe", "Tove");

    private static byte[] svg(int width, String content) {
        return (OPEN.formatted(width) + content + "</svg>").getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] blurs(int width) {
        return svg(
                width,
                "<filter id='b'>" + "<feGaussianBlur stdDeviation='300'/>".repeat(50) + "</filter>"
                        + "<rect width='480' height='480' filter='url(#b)'/>");
    }

    @Test
    void twoPeopleDoNotWaitForTheThird() {
        Guest mara = Guest.of(server, "Mara");
        Guest ebbe = Guest.of(server, "Ebbe");
        Guest tove = Guest.of(server, "Tove");
        List<CompletableFuture<RunningServer.Answer>> sent = IntStream.range(0, SENT)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> mara.upload(i + ".svg", blurs(480 + i))))
                .toList();
        for (int i = 0;
                i < LOOKS && ProcessHandle.current().children().findAny().isEmpty();
                i++) {
            LockSupport.parkNanos(BETWEEN_LOOKS_NANOS);
        }
        assertThat(stills(ebbe.upload("sea.png", RunningServer.png(new Size(12, 8), 0xFF2B6F86))))
                .isEqualTo(1);
        assertThat(stills(tove.upload("buoy.svg", svg(480, "<circle cx='240' cy='240' r='90'/>"))))
                .isEqualTo(1);
        assertThat(sent).noneMatch(CompletableFuture::isDone);
        for (CompletableFuture<RunningServer.Answer> each : sent) {
            assertThat(each.join().json().get("problem").asString())
                    .matches(
                            "“\\d.svg” takes (more than 8 s of a processor|too much memory) to be read. Save it anew.*");
        }
    }

    private static int stills(RunningServer.Answer answer) {
        return answer.json().get("stills").size();
    }
}
