package dobbin.server.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcConnectionPool;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.transaction.support.TransactionTemplate;

/** What instances on one database do, each thing once. {@code -Dsweep-seconds=60} for a long sweep. */
class ScheduleTest {
    /** Longer than it takes until an instance that is gone is noticed. */
    private static final int SWEEP_SECONDS = Integer.getInteger("sweep-seconds", 16);

    private static final String EVERYTHING = "classpath:db/migration/";

    private final JdbcConnectionPool database = JdbcConnectionPool.create("jdbc:h2:mem:schedule", "dobbin", "");
    private final BlockingQueue<String> begun = new LinkedBlockingQueue<>();
    private final CompletableFuture<Void> jobEnded = new CompletableFuture<>();
    private final List<Instance> instances = new ArrayList<>();

    @BeforeEach
    void tables() {
        Flyway.configure()
                .dataSource(database)
                .locations(EVERYTHING + "h2", EVERYTHING + "both")
                .load()
                .migrate();
    }

    @AfterEach
    void stop() {
        instances.forEach(each -> each.source.cut = false);
        instances.forEach(each -> each.schedule.stop());
        database.dispose();
    }

    /** A database that cannot be reached any more once it is cut off. */
    private static final class Cable extends DelegatingDataSource {
        private volatile boolean cut;

        Cable(DataSource database) {
            super(database);
        }

        @Override
        public Connection getConnection() throws SQLException {
            if (cut) {
                throw new SQLException("Cut off");
            }
            return super.getConnection();
        }
    }

    private final class Instance {
        private final Cable source = new Cable(database);
        private final Schedule schedule = new Schedule(new ScheduleStore(source, JdbcClient.create(source)));
        private final Schedule.Once jobs;

        /** @param sweepSeconds how long a sweep takes; 0 for an instance that never sweeps */
        Instance(String name, int sweepSeconds) {
            jobs = schedule.once("job", (id, crashes) -> {
                begun.add(name + " " + id + " " + crashes);
                return jobEnded;
            });
            if (sweepSeconds > 0) {
                schedule.every("sweep", Duration.ofMillis(500), Duration.ofHours(1), () -> {
                    begun.add("sweep");
                    CompletableFuture<Void> sweep = new CompletableFuture<>();
                    sweep.completeOnTimeout(null, sweepSeconds, TimeUnit.SECONDS)
                            .join();
                });
            }
            instances.add(this);
            schedule.start();
        }
    }

    private String next(int seconds) throws InterruptedException {
        return begun.poll(seconds, TimeUnit.SECONDS);
    }

    private int tasks(String name) {
        return JdbcClient.create(database)
                .sql("SELECT COUNT(*) FROM scheduled_tasks WHERE task_name = :name")
                .param("name", name)
                .query(Integer.class)
                .single();
    }

    @Tag("long")
    @Test
    void aLongSweepLetsNobodyTakeOverWhatIsUnderWay() throws Exception {
        Instance one = new Instance("one", SWEEP_SECONDS);
        one.jobs.add("tide");
        assertThat(List.of(next(5), next(5))).containsExactlyInAnyOrder("one tide 0", "sweep");
        new Instance("two", SWEEP_SECONDS);
        assertThat(next(SWEEP_SECONDS + 2)).as("begun a second time").isNull();
        one.jobs.add("ebb");
        assertThat(next(5)).as("while the first goes on").endsWith("ebb 0");
        jobEnded.complete(null);
        for (int attempt = 0; tasks("job") > 0; attempt++) {
            assertThat(attempt).isLessThan(50);
            Thread.sleep(100);
        }
        assertThat(tasks("sweep")).as("until the next time").isEqualTo(1);
    }

    @Test
    void whatAnInstanceLeftByItsEndIsTakenOverWithinFifteenSeconds() throws Exception {
        Instance one = new Instance("one", 0);
        one.jobs.add("tide");
        assertThat(next(5)).isEqualTo("one tide 0");
        new Instance("two", 0);
        one.source.cut = true;
        long cut = System.nanoTime();
        assertThat(next(25)).as("begun once more, and one crash counted").isEqualTo("two tide 1");
        assertThat(Duration.ofNanos(System.nanoTime() - cut)).isLessThan(Duration.ofSeconds(15));
    }

    @Test
    void whatIsStoppedWithItsInstanceIsForAnotherAtOnceAndNoCrash() throws Exception {
        Instance one = new Instance("one", 0);
        one.jobs.add("tide");
        assertThat(next(5)).isEqualTo("one tide 0");
        new Instance("two", 0);
        one.schedule.stop();
        assertThat(next(3)).isEqualTo("two tide 0");
    }

    @Test
    void whatIsRolledBackIsNeverBegun() throws Exception {
        Instance one = new Instance("one", 0);
        TransactionTemplate transaction = new TransactionTemplate(new DataSourceTransactionManager(one.source));
        transaction.executeWithoutResult(status -> {
            one.jobs.add("ebb");
            status.setRollbackOnly();
        });
        transaction.executeWithoutResult(status -> one.jobs.add("tide"));
        assertThat(next(5)).isEqualTo("one tide 0");
        assertThat(next(2)).isNull();
    }
}
