package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.reel.Art;
import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Group;
import dobbin.reel.OutOfRange;
import dobbin.reel.PictureRef;
import dobbin.reel.Reel;
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
                .hasMessage("must be made of at most 2000 pictures, words and shapes, and not of 10000");
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
                .hasMessageContaining("and not of 2001")
                .extracting(e -> ((OutOfRange) e).field())
                .isEqualTo("cutouts");
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
