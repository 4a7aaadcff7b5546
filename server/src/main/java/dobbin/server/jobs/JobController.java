package dobbin.server.jobs;

import dobbin.server.access.Right;
import dobbin.server.access.Rights;
import dobbin.server.instances.OtherInstances;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How a job stands, and stopping it, wherever it runs. */
@RestController
class JobController {
    private final Jobs jobs;
    private final Orders orders;
    private final Rights rights;
    private final OtherInstances instances;
    private final ApplicationEventPublisher events;

    JobController(Jobs jobs, Orders orders, Rights rights, OtherInstances instances, ApplicationEventPublisher events) {
        this.jobs = jobs;
        this.orders = orders;
        this.rights = rights;
        this.instances = instances;
        this.events = events;
    }

    @GetMapping("/api/jobs/{id}")
    Job.View show(@PathVariable String id) {
        return found(id, Right.LOOK).view();
    }

    @DeleteMapping("/api/jobs/{id}")
    Job.View cancel(@PathVariable String id) {
        Jobs.ReelJob found = found(id, Right.WORK);
        jobs.cancel(id);
        events.publishEvent(new Jobs.Stopped(id));
        instances.tell(found.reel(), Jobs.STOP, id);
        return found.view();
    }

    private Jobs.ReelJob found(String id, Right least) {
        Jobs.ReelJob found = jobs.here(id)
                .map(job -> new Jobs.ReelJob(job.reel(), job.view()))
                .or(() -> orders.find(id))
                .filter(job -> rights.ofWhoAsks(job.reel()) != Right.NOTHING)
                .orElseThrow(() -> Jobs.noJob(id));
        rights.check(found.reel(), least);
        return found;
    }
}
