package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.lettering.TextBlock;
import dobbin.lettering.Typeface;
import dobbin.reel.Art;
import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Group;
import dobbin.reel.Key;
import dobbin.reel.OutOfRange;
import dobbin.reel.PictureRef;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Words;
import dobbin.timing.Easing;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A few bytes of groups in groups can stand for any number of pictures: the product has a bound, and not each factor alone. */
class GroupBoundsTest {
    private static final Reel REEL = Moving.reel(3);
    private static final Cutout BADGE = Moving.badge(REEL);

    private static Group groupOf(int count, Art art) {
        return new Group(10, 10, Collections.nCopies(count, BADGE.withArt(art)));
    }

    @Test
    void aGroupOfGroupsOfGroupsHasNoMoreThan2000Parts() {
        Group ten = groupOf(10, BADGE.art());
        Group hundred = groupOf(10, ten);
        Group thousand = groupOf(10, hundred);
        assertThat(groupOf(2, thousand).parts()).isEqualTo(2_000);
        assertThatThrownBy(() -> groupOf(10, thousand))
                .isInstanceOf(OutOfRange.class)
                .hasMessage("must be made of at most 2000 pictures, words and shapes, and not 10000");
    }

    @Test
    void allCutoutsOfAReelTogetherHaveNoMore() {
        PictureRef picture = REEL.pictures().iterator().next();
        Cycle cycle = Cycle.dealt(Collections.nCopies(200, picture), 1);
        List<Cutout> ten = IntStream.range(100, 110)
                .mapToObj(id -> BADGE.withId(id).withArt(cycle))
                .toList();
        assertThat(REEL.withCutouts(ten, 200).cutouts()).hasSize(10);
        List<Cutout> more =
                Stream.concat(ten.stream(), Stream.of(BADGE.withId(110))).toList();
        assertThatThrownBy(() -> REEL.withCutouts(more, 200))
                .isInstanceOf(OutOfRange.class)
                .hasMessageContaining("and not 2001")
                .extracting(e -> ((OutOfRange) e).field())
                .isEqualTo("cutouts");
    }

    @Test
    void framesTimesCutoutsAreBounded() {
        Reel longest = Moving.reel(2_000);
        Cutout badge = Moving.badge(longest);
        Cutout hundred = badge.withArt(groupOf(100, BADGE.art()));
        Cutout another = hundred.withId(badge.id() + 1);
        assertThat(longest.withCutouts(List.of(hundred, another), badge.id() + 2)
                        .cutouts())
                .hasSize(2);
        assertThatThrownBy(() ->
                        longest.withCutouts(List.of(hundred, another, badge.withId(badge.id() + 2)), badge.id() + 3))
                .isInstanceOf(OutOfRange.class)
                .hasMessage("must be drawn at most 400000 times on all frames together, and not 402000");
    }

    @Test
    void wordsTimesLettersAreBounded() {
        Words words =
                Words.of("W".repeat(500), Typeface.PLAIN, Typeface.Weight.REGULAR, 20, "102030", TextBlock.Align.LEFT);
        assertThat(groupOf(40, words).parts()).isEqualTo(40);
        assertThatThrownBy(() -> groupOf(41, words))
                .isInstanceOf(OutOfRange.class)
                .hasMessage("must have at most 20000 letters in all their words, and not 20500");
    }

    @Test
    void cutoutsTimesPosesAreBounded() {
        List<Key> keys = IntStream.rangeClosed(1, 2_000)
                .mapToObj(frame -> new Key(frame, Pose.at(0, 0), Easing.EVEN))
                .toList();
        Cutout moving = BADGE.withKeys(keys);
        assertThat(new Group(10, 10, Collections.nCopies(199, moving)).members())
                .hasSize(199);
        Group half = new Group(10, 10, Collections.nCopies(101, moving));
        assertThatThrownBy(() -> new Group(10, 10, List.of(BADGE.withArt(half), BADGE.withArt(half))))
                .isInstanceOf(OutOfRange.class)
                .hasMessageStartingWith("must have at most 400000 poses and other things kept for a frame, and not");
    }

    @Test
    void groupsLieAtMostEightDeepInOneAnother() {
        Art art = BADGE.art();
        for (int depth = 1; depth <= 8; depth++) {
            art = groupOf(1, art);
            assertThat(art.depth()).isEqualTo(depth);
        }
        Art eight = art;
        assertThatThrownBy(() -> groupOf(1, eight))
                .isInstanceOf(OutOfRange.class)
                .hasMessage("must lie in at most 8 groups in one another");
    }
}
