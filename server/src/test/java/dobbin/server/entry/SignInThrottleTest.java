package dobbin.server.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcConnectionPool;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

class SignInThrottleTest {
    private final ThrottleStore store = tables();
    private Instant now = Instant.parse("2026-03-01T08:00:00Z");
    private final SignInThrottle attempts = new SignInThrottle(store, () -> now);

    /** A database with all that the migrations put into it. */
    private static ThrottleStore tables() {
        DataSource database = JdbcConnectionPool.create("jdbc:h2:mem:" + UUID.randomUUID(), "", "");
        Flyway.configure()
                .dataSource(database)
                .locations("classpath:db/migration/h2", "classpath:db/migration/both")
                .load()
                .migrate();
        return new ThrottleStore(
                JdbcClient.create(database), new TransactionTemplate(new DataSourceTransactionManager(database)));
    }

    private void begin(String address, int times) {
        begin(attempts, address, times);
    }

    private static void begin(SignInThrottle attempts, String address, int times) {
        for (int i = 0; i < times; i++) {
            assertThat(attempts.begin(address, "")).isZero();
        }
    }

    @Test
    void fiveAreFreeAndEachFurtherOneCostsTwiceTheWait() {
        begin("10.0.0.7", 5);
        for (int seconds : new int[] {1, 2, 4, 8, 16, 32, 64, 128, 256, 300, 300}) {
            assertThat(attempts.begin("10.0.0.7", "")).isEqualTo(Duration.ofSeconds(seconds));
            now = now.plusSeconds(seconds);
            begin("10.0.0.7", 1);
        }
        begin("10.0.0.8", 1);
    }

    @Test
    void whatIsTriedAtTheSameMomentCountsToo() {
        begin("10.0.0.7", 5);
        assertThat(attempts.begin("10.0.0.7", "")).isEqualTo(Duration.ofSeconds(1));
        assertThat(attempts.begin("10.0.0.7", ""))
                .as("was not tried, so it was not counted")
                .isEqualTo(Duration.ofSeconds(1));
    }

    @Test
    void theRightPasswordEndsTheWait() {
        begin("10.0.0.7", 5);
        now = now.plusSeconds(1);
        begin("10.0.0.7", 1);
        attempts.succeeded("10.0.0.7", "");
        begin("10.0.0.7", 5);
    }

    @Test
    void aClockThatIsSetBackMakesNobodyWaitLonger() {
        begin("10.0.0.7", 5);
        now = now.minusSeconds(86_400);
        assertThat(attempts.begin("10.0.0.7", "")).isEqualTo(Duration.ofSeconds(1));
    }

    @Test
    void oneNameTriedFromManyAddressesIsSlowedDown() {
        for (int i = 0; i < 10; i++) {
            assertThat(attempts.begin("10.0.1." + i, "Mara")).isZero();
        }
        assertThat(attempts.begin("10.0.2.1", "Mara")).isEqualTo(Duration.ofSeconds(1));
        assertThat(attempts.begin("10.0.2.1", "Ebbe")).isZero();
    }

    @Test
    void manyAddressesTogetherAreSlowedDown() {
        for (int i = 0; i < 25; i++) {
            begin("10.0.1." + i, 4);
        }
        assertThat(attempts.begin("10.0.2.1", "")).isEqualTo(Duration.ofSeconds(1));
    }

    @Test
    void fiveAddressesCannotLockOutThoseWhoSignedInBefore() {
        begin("10.0.0.7", 1);
        attempts.succeeded("10.0.0.7", "");
        now = now.plus(Duration.ofDays(80));
        for (int round = 0; round < 4; round++) {
            for (int i = 0; i < 5; i++) {
                begin("10.0.1." + i, 5);
                store.remove(List.of("10.0.1." + i));
            }
        }
        assertThat(attempts.begin("10.0.2.1", "")).as("from a new address").isEqualTo(Duration.ofSeconds(1));
        begin("10.0.0.7", 5);
        assertThat(attempts.begin("10.0.0.7", ""))
                .as("its own wrong ones count")
                .isEqualTo(Duration.ofSeconds(1));
        now = now.plus(Duration.ofDays(11));
        assertThat(store.hasSignedIn("10.0.0.7", now.minus(Duration.ofDays(90))))
                .isFalse();
    }

    @Test
    void thoseWhoKnowThePasswordDoNotSlowAllDown() {
        for (int i = 0; i < 300; i++) {
            begin("10.0.1." + i, 1);
            attempts.succeeded("10.0.1." + i, "");
        }
        begin("10.0.2.1", 1);
    }

    @Test
    void whatWasWrongIsForgottenAnHourAfterTheFirst() {
        begin("10.0.0.7", 4);
        now = now.plus(Duration.ofMinutes(59));
        begin("10.0.0.7", 1);
        assertThat(attempts.begin("10.0.0.7", "")).isPositive();
        now = now.plus(Duration.ofMinutes(1));
        begin("10.0.0.7", 5);
    }

    /** As in a house of many people: somebody mistypes all the time, and that is nobody else's trouble. */
    @Test
    void whereSomebodyIsWrongEveryMinuteAllDayNobodyElseWaits() {
        for (int minute = 0; minute < 24 * 60; minute++) {
            begin("10.0." + minute / 60 + "." + minute % 60, 1);
            now = now.plusSeconds(60);
        }
    }

    @Test
    void anotherDobbinAndOneStartedAnewKnowOfIt() {
        SignInThrottle another = new SignInThrottle(store, () -> now);
        begin("10.0.0.7", 3);
        begin(another, "10.0.0.7", 2);
        assertThat(attempts.begin("10.0.0.7", "")).isEqualTo(Duration.ofSeconds(1));
        assertThat(new SignInThrottle(store, () -> now).begin("10.0.0.7", "")).isEqualTo(Duration.ofSeconds(1));
    }

    @Test
    void ofManyAtOnceNoMoreAreTriedThanAreFree() {
        List<Duration> waits = IntStream.range(0, 32)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> attempts.begin("10.0.0.7", "Mara")))
                .toList()
                .stream()
                .map(CompletableFuture::join)
                .toList();
        assertThat(waits).filteredOn(Duration::isZero).hasSize(5);
    }

    @Test
    void noNameThatIsTriedStandsInTheTable() {
        String mistaken = "Six lamps, one beam \u0000 \ud800";
        assertThat(attempts.begin("10.0.0.7", mistaken)).isZero();
        assertThat(store.find(List.of("10.0.0.7", "named " + mistaken)).keySet())
                .containsExactly("10.0.0.7");
        attempts.succeeded("10.0.0.7", mistaken);
        assertThat(store.find(List.of("10.0.0.7"))).isEmpty();
    }
}
