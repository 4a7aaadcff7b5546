package dobbin.still;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CountingOrderTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "2|10",
                "img_9.jpg|IMG_10.jpg",
                "Sunrise 1|sunrise 2|Sunrise 11|SUNRISE 20",
                "a|a1|a1b|a2|b",
                "Ferry (2).png|Ferry (10).png",
                "9|10|99999999999999999999998|99999999999999999999999",
                "1.9|1.10",
                "001|1a",
                "tide 01|tide 1|tide 002",
                "“tide” 2 🌊|“tide” 10 🌊"
            })
    void countsAsPeopleDo(String ordered) {
        List<String> names = List.of(ordered.split("\\|"));
        for (int seed = 0; seed < 20; seed++) {
            List<String> shuffled = new ArrayList<>(names);
            Collections.shuffle(shuffled, new Random(seed));
            shuffled.sort(CountingOrder.OF_NAMES);
            assertThat(shuffled).as("seed %d", seed).isEqualTo(names);
        }
    }

    @Test
    void isAnOrder() {
        Random random = new Random(11);
        List<String> names = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            StringBuilder name = new StringBuilder();
            for (int length = random.nextInt(6); length >= 0; length--) {
                name.append("aA01 29".charAt(random.nextInt(7)));
            }
            names.add(name.toString());
        }
        for (String a : names) {
            for (String b : names) {
                int ab = Integer.signum(CountingOrder.OF_NAMES.compare(a, b));
                assertThat(Integer.signum(CountingOrder.OF_NAMES.compare(b, a))).isEqualTo(-ab);
                for (String c : names) {
                    if (ab <= 0 && CountingOrder.OF_NAMES.compare(b, c) <= 0) {
                        assertThat(CountingOrder.OF_NAMES.compare(a, c))
                                .as("%s, %s, %s", a, b, c)
                                .isLessThanOrEqualTo(0);
                    }
                }
            }
        }
    }
}
