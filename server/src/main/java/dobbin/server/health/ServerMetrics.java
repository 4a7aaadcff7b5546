package dobbin.server.health;

import dobbin.server.jobs.EventHub;
import dobbin.server.jobs.Jobs;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import org.springframework.stereotype.Component;

/** Dobbin's own figures, beside those of the machine and of requests. */
@Component
class ServerMetrics implements MeterBinder {
    private final Jobs jobs;
    private final EventHub hub;

    ServerMetrics(Jobs jobs, EventHub hub) {
        this.jobs = jobs;
        this.hub = hub;
    }

    @Override
    public void bindTo(MeterRegistry registry) {
        Gauge.builder("dobbin.jobs", jobs, Jobs::underWay)
                .description("Jobs that run or wait")
                .register(registry);
        Gauge.builder("dobbin.streams", hub, EventHub::streams)
                .description("Open event streams, one for each reel that is open in a browser")
                .register(registry);
    }
}
