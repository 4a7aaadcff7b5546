package dobbin.server.jobs;

import dobbin.server.access.Right;
import dobbin.server.access.Rights;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How a job stands, and stopping it. */
@RestController
class JobController {
    private final Jobs jobs;
    private final Rights rights;

    JobController(Jobs jobs, Rights rights) {
        this.jobs = jobs;
        this.rights = rights;
    }

    @GetMapping("/api/jobs/{id}")
    Job.View show(@PathVariable String id) {
        return found(id, Right.LOOK).view();
    }

    @DeleteMapping("/api/jobs/{id}")
    Job.View cancel(@PathVariable String id) {
        Job job = found(id, Right.WORK);
        job.cancel();
        return job.view();
    }

    private Job found(String id, Right least) {
        Job job = jobs.find(id);
        if (rights.ofWhoAsks(job.reel()) == Right.NOTHING) {
            throw Jobs.noJob(id);
        }
        rights.check(job.reel(), least);
        return job;
    }
}
