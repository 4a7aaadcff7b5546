package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * How long the first page of a shelf of 10,000 reels takes, a fifth of them one's own and some that were given. Not a test of every
 * run: {@code -Dtest=LongShelfBench}.
 */
@Bench
class LongShelfBench {
    private static final int REELS = 10_000;
    private static final int TIMES = 40;

    @RegisterExtension
    private static final RunningServer server = new RunningServer().with("Mara", "Ebbe");

    @Test
    void theFirstPage() {
        Guest mara = Guest.of(server, "Mara");
        String id = mara.reel("Tide").get("id").asString();
        server.sql("""
                INSERT INTO reel (id, revision, step, touched, card, owner, everyone)
                SELECT 'reel ' || x, revision, step, DATEADD('SECOND', -x, touched), card,
                    CASE WHEN MOD(x, 5) = 0 THEN 'Mara' ELSE 'Ebbe' END,
                    CASE WHEN MOD(x, 50) = 1 THEN 'LOOK' ELSE 'NOTHING' END
                FROM reel, SYSTEM_RANGE(1, %d) WHERE id = '%s'""".formatted(REELS, id));
        server.sql("INSERT INTO reel_access (reel, person, may) SELECT id, 'Mara', 'WORK' FROM reel"
                + " WHERE owner = 'Ebbe' AND id LIKE '%7'");
        long[] nanos = LongStream.range(0, TIMES)
                .map(time -> {
                    long begun = System.nanoTime();
                    assertThat(mara.get("/api/reels").json().get("reels")).hasSize(60);
                    return System.nanoTime() - begun;
                })
                .toArray();
        System.out.printf(
                "of %d reels on one shelf, %s for Mara: first page at first %.0f ms, then %.0f ms (median of %d)%n",
                REELS,
                mara.get("/api/reels").json().get("total"),
                nanos[0] / 1e6,
                LongStream.of(nanos).sorted().skip(TIMES / 2).findFirst().orElseThrow() / 1e6,
                TIMES);
    }
}
