package dobbin.server.jobs;

import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How a job stands, and stopping it. */
@RestController
class JobController {
    private final Jobs jobs;

    JobController(Jobs jobs) {
        this.jobs = jobs;
    }

    @GetMapping("/api/jobs/{id}")
    Job.View show(@PathVariable String id) {
        return jobs.find(id).view();
    }

    @DeleteMapping("/api/jobs/{id}")
    Job.View cancel(@PathVariable String id) {
        Job job = jobs.find(id);
        job.cancel();
        return job.view();
    }
}
