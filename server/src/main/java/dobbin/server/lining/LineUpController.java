package dobbin.server.lining;

import dobbin.raster.Bounds;
import dobbin.register.MotionModel;
import dobbin.server.jobs.Job;
import dobbin.server.reels.ReelView;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Routes for stills of one view: lining up, evening the light. */
@RestController
class LineUpController {
    private static final int STEADY = 0;

    private final LineUps lineUps;

    LineUpController(LineUps lineUps) {
        this.lineUps = lineUps;
    }

    /**
     * @param frames those that are lined up
     * @param to the id of the frame they are lined up to, which is one of them and stays as it is; 0 to take out shaking
     *     alone and keep what pans
     * @param area the part of the canvas they are lined up by; of no width for all of it
     * @param motion how the camera may have moved; to take out shaking it is always {@code SIMILARITY}
     */
    record LineUpRequest(List<Integer> frames, int to, Edges edges, Box area, MotionModel motion) {
        boolean isSteadying() {
            return to == STEADY;
        }
    }

    /** A part of the canvas, in pixels. */
    record Box(int x, int y, int width, int height) {
        Bounds bounds() {
            return new Bounds(x, y, x + width, y + height);
        }
    }

    record EvenLightRequest(List<Integer> frames) {}

    /** Evens the light of the stills on frames, which are taken in the order they play: one step of the history. */
    @PostMapping("/api/reels/{id}/even-light")
    ReelView evenLight(@PathVariable String id, @RequestBody EvenLightRequest wanted) {
        return ReelView.of(lineUps.evenLight(id, wanted.frames()));
    }

    /** The job's result is the sentence on what came of it; the stills are moved by then, in one step. */
    @PostMapping("/api/reels/{id}/line-ups")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Job.View lineUp(@PathVariable String id, @RequestBody LineUpRequest wanted) {
        return lineUps.begin(id, wanted);
    }
}
