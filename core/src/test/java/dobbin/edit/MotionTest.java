package dobbin.edit;

import static dobbin.edit.Moving.across;
import static dobbin.edit.Moving.edited;
import static dobbin.edit.Moving.gliding;
import static dobbin.edit.Moving.poses;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Words;
import java.util.List;
import org.junit.jupiter.api.Test;

class MotionTest {
    private static Reel moving(Reel reel, int first, int last, Motion motion) {
        return edited(reel, new AddMotion(List.of(Moving.badge(reel).id()), first, last, motion));
    }

    private static List<Double> opacities(Reel reel) {
        return poses(reel).stream().map(Pose::opacity).toList();
    }

    @Test
    void slidesInFromJustBeyondTheCanvas() {
        Reel reel = moving(Moving.reel(5), 1, 5, new Motion.Slide(Motion.Side.LEFT, false));
        assertThat(across(reel)).containsExactly(-20.0, 32.5, 70.0, 92.5, 100.0);
        Reel right = moving(Moving.reel(5), 1, 5, new Motion.Slide(Motion.Side.RIGHT, true));
        assertThat(across(right)).startsWith(100.0).endsWith(980.0);
    }

    @Test
    void fadesWhileItGoesOn() {
        Reel reel = moving(gliding(5), 1, 5, new Motion.Fade(false));
        assertThat(across(reel)).isEqualTo(across(gliding(5)));
        assertThat(opacities(reel)).containsExactly(0.0, 0.25, 0.5, 0.75, 1.0);
        assertThat(opacities(moving(Moving.reel(3), 1, 3, new Motion.Fade(true))))
                .containsExactly(1.0, 0.5, 0.0);
    }

    @Test
    void blinksAsOftenAsAskedAndStays() {
        Reel reel = moving(Moving.reel(12), 1, 12, new Motion.Blink(2, 1, 3));
        assertThat(opacities(reel)).containsExactly(1.0, 1.0, 0.0, 1.0, 1.0, 0.0, 1.0, 1.0, 0.0, 1.0, 1.0, 1.0);
        Reel gliding = moving(gliding(7), 1, 7, new Motion.Blink(1, 1, 2));
        assertThat(opacities(gliding)).containsExactly(1.0, 0.0, 1.0, 0.0, 1.0, 1.0, 1.0);
        assertThat(across(gliding)).as("and glides on").isEqualTo(across(gliding(7)));
    }

    @Test
    void spinsByExactParts() {
        Reel reel = moving(Moving.reel(7), 1, 7, new Motion.Spin(3));
        assertThat(poses(reel)).extracting(Pose::turn).containsExactly(0.0, 120.0, 240.0, 360.0, 480.0, 600.0, 720.0);
        assertThat(poses(moving(Moving.reel(3), 1, 3, new Motion.Spin(-4))))
                .extracting(Pose::turn)
                .containsExactly(0.0, -90.0, -180.0);
    }

    @Test
    void growsAndShrinks() {
        assertThat(poses(moving(Moving.reel(3), 1, 3, new Motion.Grow(false))))
                .extracting(Pose::scaleX)
                .containsExactly(0.0, 0.75, 1.0);
        assertThat(poses(moving(Moving.reel(3), 1, 3, new Motion.Grow(true))))
                .extracting(Pose::scaleY)
                .containsExactly(1.0, 0.75, 0.0);
    }

    @Test
    void bobsUpAndDownAndClosesTheLoop() {
        Reel reel = moving(Moving.reel(8), 1, 8, new Motion.Bob(20, 2));
        assertThat(poses(reel)).extracting(Pose::y).containsExactly(100.0, 90.0, 80.0, 90.0, 100.0, 90.0, 80.0, 90.0);
    }

    @Test
    void shakesNoFurtherThanAskedTheSameWayEachTime() {
        Reel reel = moving(Moving.reel(9), 1, 9, new Motion.Shake(4));
        assertThat(across(reel)).allMatch(x -> Math.abs(x - 100) <= 4).doesNotHaveDuplicates();
        assertThat(reel).isEqualTo(moving(Moving.reel(9), 1, 9, new Motion.Shake(4)));
        assertThat(poses(reel).get(8)).isEqualTo(Pose.at(100, 100));
    }

    @Test
    void followsAPathAtAnEvenPace() {
        Motion path =
                new Motion.Follow(List.of(new Motion.Point(0, 0), new Motion.Point(30, 0), new Motion.Point(30, 10)));
        Reel reel = moving(Moving.reel(5), 1, 5, path);
        assertThat(across(reel)).containsExactly(0.0, 10.0, 20.0, 30.0, 30.0);
        assertThat(poses(reel)).extracting(Pose::y).containsExactly(0.0, 0.0, 0.0, 0.0, 10.0);
    }

    @Test
    void lettersComeOneByOneOrWordByWord() {
        Reel words = edited(EditTest.reel(5), new AddCutout("Words", Moving.words("Last ferry"), Pose.at(9, 9), 1));
        assertThat(poses(moving(words, 1, 5, new Motion.Letters(true))))
                .extracting(Pose::shown)
                .containsExactly(0.4444, 0.4444, 0.4444, 0.4444, 1.0);
        assertThat(poses(moving(words, 1, 5, new Motion.Letters(false))))
                .extracting(pose -> Math.round(pose.shown() * 9))
                .containsExactly(1L, 3L, 5L, 7L, 9L);
        Reel colored = moving(words, 1, 5, new Motion.WalkColors(List.of("ff0000", "00ff00")));
        assertThat(((Words) Moving.badge(colored).art()).colors()).containsExactly("ff0000", "00ff00");
        assertThat(poses(colored)).extracting(Pose::walk).containsExactly(0.0, 1.0, 2.0, 3.0, 4.0);
        assertThatThrownBy(() -> moving(Moving.reel(2), 1, 2, new Motion.Letters(false)))
                .hasMessageContaining("needs a cut-out of letters");
    }

    @Test
    void aMotionTakesAtLeastTwoFrames() {
        assertThatThrownBy(() -> moving(Moving.reel(2), 1, 1, new Motion.Fade(false)))
                .hasMessageContaining("at least 2 frames");
    }
}
