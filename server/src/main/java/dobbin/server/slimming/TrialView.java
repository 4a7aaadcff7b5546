package dobbin.server.slimming;

import dobbin.reel.Delivery;
import dobbin.slim.Frontier;
import dobbin.slim.Trial;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A setting that was tried.
 *
 * @param name or empty
 * @param error visible error, times 100
 * @param worstFrame of the loop, from 0
 * @param current whether it was tried on the loop as it is
 * @param better the id of one that is lighter and looks better, or null where none is: then it is on the edge of what can
 *     be had
 */
record TrialView(
        String id,
        String name,
        Instant tried,
        Delivery delivery,
        int width,
        int height,
        int bytes,
        double error,
        int worstFrame,
        double worstError,
        boolean current,
        @Schema(types = {"string", "null"}) String better) {
    static List<TrialView> of(List<TrialStore.Row> rows, String material) {
        Map<Trial, String> ids = new HashMap<>();
        List<Trial> current = rows.stream()
                .filter(row -> row.material().equals(material))
                .map(row -> {
                    ids.put(row.trial(), row.id());
                    return row.trial();
                })
                .toList();
        return rows.stream()
                .map(row -> of(
                        row,
                        row.material().equals(material),
                        Frontier.better(row.trial(), current).map(ids::get).orElse(null)))
                .toList();
    }

    private static TrialView of(TrialStore.Row row, boolean current, String better) {
        Trial trial = row.trial();
        return new TrialView(
                row.id(),
                row.name(),
                row.tried(),
                trial.delivery(),
                row.width(),
                row.height(),
                trial.bytes(),
                trial.error(),
                trial.looks().worstFrame(),
                trial.looks().worstError(),
                current,
                current ? better : null);
    }
}
