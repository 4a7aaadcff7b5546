package dobbin.server.deliveries;

import dobbin.server.instances.OtherInstances;
import dobbin.server.jobs.EventHub;
import dobbin.server.jobs.Jobs;
import dobbin.server.reels.Reels;
import dobbin.server.web.NotFound;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Relays changes made on other instances to the event streams of this one. */
@Component
class FromElsewhere {
    private static final Logger LOG = LoggerFactory.getLogger(FromElsewhere.class);

    private final EventHub hub;
    private final Jobs jobs;
    private final Reels reels;
    private final ApplicationEventPublisher events;

    FromElsewhere(EventHub hub, Jobs jobs, Reels reels, ApplicationEventPublisher events) {
        this.hub = hub;
        this.jobs = jobs;
        this.reels = reels;
        this.events = events;
    }

    @EventListener
    void told(OtherInstances.RemoteChange told) {
        if (told.event().equals(Reels.CHANGED)) {
            changed(told.reel());
        } else if (told.event().equals(Jobs.STOP)) {
            jobs.cancel(told.data().asString());
        } else {
            hub.publish(told.reel(), told.event(), told.data());
        }
    }

    @EventListener
    void missed(OtherInstances.ChangesMissed event) {
        hub.listenedTo().forEach(this::changed);
    }

    private void changed(String reel) {
        if (hub.hasListeners(reel)) {
            try {
                events.publishEvent(new Reels.Changing(reel));
                events.publishEvent(new Reels.Changed(reels.open(reel)));
            } catch (NotFound e) {
                LOG.debug("The reel {} was removed elsewhere", reel, e);
            }
        }
    }
}
