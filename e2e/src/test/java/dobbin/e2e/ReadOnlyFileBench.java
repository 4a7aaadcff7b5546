package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import dobbin.server.Bench;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The data file may not be written any more, in the middle of work and at a start. Needs to be root, on ext4. Not a test of every run:
 * {@code -Dtest=ReadOnlyFileBench}.
 */
@Bench
class ReadOnlyFileBench {
    @Test
    void whatWasAnsweredStaysAndWhenItMayBeWrittenAllGoesOn(@TempDir Path data) throws Exception {
        Path file = data.resolve("dobbin.mv.db");
        try (App app = App.start(data)) {
            RenamedReel reel = new RenamedReel(new Api(app.address()));
            reel.edit();
            assumeThat(run("chattr", "+i", file.toString()))
                    .as("the file could be made read-only")
                    .isZero();
            try {
                assertThatThrownBy(reel::edit).isInstanceOfSatisfying(Api.Refused.class, refused -> {
                    System.out.println("an edit: " + refused.getMessage());
                    assertThat(refused.status).isIn(503, 507);
                });
                app.kill();
                assertThatThrownBy(app::startAgain).satisfies(failure -> {
                    System.out.println("a start: " + failure.getMessage());
                    assertThat(failure.getMessage()).contains("is read-only");
                });
            } finally {
                run("chattr", "-i", file.toString());
            }
            app.startAgain();
            reel.assertAllIsThere();
            reel.edit();
            reel.assertAllIsThere();
        }
    }

    private static int run(String... command) throws IOException, InterruptedException {
        return new ProcessBuilder(command).inheritIO().start().waitFor();
    }
}
