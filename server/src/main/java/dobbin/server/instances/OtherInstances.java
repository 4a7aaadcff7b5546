package dobbin.server.instances;

import jakarta.annotation.PreDestroy;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Sends changes to the other instances on the same database, and publishes theirs here. On a file, which one instance opens alone, it does nothing. */
@Component
public class OtherInstances {
    private static final Logger LOG = LoggerFactory.getLogger(OtherInstances.class);

    private final String own = UUID.randomUUID().toString();
    private final Optional<Channel> channel;
    private final ApplicationEventPublisher events;
    private final JsonMapper json;

    OtherInstances(ChannelStore channels, ApplicationEventPublisher events, JsonMapper json) {
        this.channel = channels.channel();
        this.events = events;
        this.json = json;
    }

    /** Event: a reel changed on another instance. */
    public record RemoteChange(String reel, String event, JsonNode data) {}

    /** Event: changes on other instances may have been missed while the connection was down. */
    public record ChangesMissed() {}

    private record Message(String from, String reel, String event, Object data) {}

    /** @param data becomes JSON */
    public void tell(String reel, String event, Object data) {
        if (channel.isEmpty()) {
            return;
        }
        try {
            channel.get().tell(json.writeValueAsString(new Message(own, reel, event, data)));
        } catch (DataAccessException e) {
            LOG.warn("Other instances could not be told of a change", e);
        }
    }

    private void heard(String message) {
        try {
            JsonNode told = json.readTree(message);
            if (!told.get("from").asString().equals(own)) {
                events.publishEvent(new RemoteChange(
                        told.get("reel").asString(), told.get("event").asString(), told.get("data")));
            }
        } catch (JacksonException | NullPointerException e) {
            LOG.warn("Something was told that no instance sends", e);
        }
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        channel.ifPresent(it -> it.listen(this::heard, () -> events.publishEvent(new ChangesMissed())));
    }

    @PreDestroy
    void stop() {
        channel.ifPresent(Channel::stop);
    }
}
