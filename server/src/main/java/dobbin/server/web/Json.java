package dobbin.server.web;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import dobbin.edit.AddStills;
import dobbin.edit.CopyFrames;
import dobbin.edit.Edit;
import dobbin.edit.MoveFrames;
import dobbin.edit.RemoveFrames;
import dobbin.edit.Rename;
import dobbin.edit.ReverseFrames;
import dobbin.edit.SetBudget;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.edit.SetPlays;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.DeserializationFeature;

/** How core's values look as JSON. The core itself knows of none. */
@Configuration
public class Json {
    /** Edits carry their name in {@code type}. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = AddStills.class, name = "addStills"),
        @JsonSubTypes.Type(value = CopyFrames.class, name = "copyFrames"),
        @JsonSubTypes.Type(value = MoveFrames.class, name = "moveFrames"),
        @JsonSubTypes.Type(value = RemoveFrames.class, name = "removeFrames"),
        @JsonSubTypes.Type(value = Rename.class, name = "rename"),
        @JsonSubTypes.Type(value = ReverseFrames.class, name = "reverseFrames"),
        @JsonSubTypes.Type(value = SetBudget.class, name = "setBudget"),
        @JsonSubTypes.Type(value = SetDelay.class, name = "setDelay"),
        @JsonSubTypes.Type(value = SetDelivery.class, name = "setDelivery"),
        @JsonSubTypes.Type(value = SetPlays.class, name = "setPlays")
    })
    interface EditShape {}

    @Bean
    JsonMapperBuilderCustomizer coreShapes() {
        return builder -> builder.addMixIn(Edit.class, EditShape.class)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT);
    }
}
