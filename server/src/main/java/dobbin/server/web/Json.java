package dobbin.server.web;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import dobbin.edit.AddCard;
import dobbin.edit.AddStills;
import dobbin.edit.AddToDelays;
import dobbin.edit.ChangeCard;
import dobbin.edit.CopyFrames;
import dobbin.edit.DismissNotice;
import dobbin.edit.Edit;
import dobbin.edit.FitTotal;
import dobbin.edit.LeaveOut;
import dobbin.edit.MergeFrames;
import dobbin.edit.MoveFrames;
import dobbin.edit.NameRun;
import dobbin.edit.PasteFrames;
import dobbin.edit.RemoveFrames;
import dobbin.edit.Rename;
import dobbin.edit.RenameRun;
import dobbin.edit.RepeatFrames;
import dobbin.edit.ReplacePicture;
import dobbin.edit.ReverseFrames;
import dobbin.edit.ScaleDelays;
import dobbin.edit.SetBudget;
import dobbin.edit.SetCanvas;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.edit.SetFit;
import dobbin.edit.SetPlays;
import dobbin.edit.SortByName;
import dobbin.edit.ThereAndBack;
import dobbin.edit.ThinFrames;
import dobbin.edit.UnnameRun;
import dobbin.reel.Card;
import dobbin.reel.FrameContent;
import dobbin.reel.Still;
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
        @JsonSubTypes.Type(value = AddCard.class, name = "addCard"),
        @JsonSubTypes.Type(value = AddStills.class, name = "addStills"),
        @JsonSubTypes.Type(value = AddToDelays.class, name = "addToDelays"),
        @JsonSubTypes.Type(value = ChangeCard.class, name = "changeCard"),
        @JsonSubTypes.Type(value = CopyFrames.class, name = "copyFrames"),
        @JsonSubTypes.Type(value = DismissNotice.class, name = "dismissNotice"),
        @JsonSubTypes.Type(value = FitTotal.class, name = "fitTotal"),
        @JsonSubTypes.Type(value = LeaveOut.class, name = "leaveOut"),
        @JsonSubTypes.Type(value = MergeFrames.class, name = "mergeFrames"),
        @JsonSubTypes.Type(value = MoveFrames.class, name = "moveFrames"),
        @JsonSubTypes.Type(value = NameRun.class, name = "nameRun"),
        @JsonSubTypes.Type(value = PasteFrames.class, name = "pasteFrames"),
        @JsonSubTypes.Type(value = RemoveFrames.class, name = "removeFrames"),
        @JsonSubTypes.Type(value = Rename.class, name = "rename"),
        @JsonSubTypes.Type(value = RenameRun.class, name = "renameRun"),
        @JsonSubTypes.Type(value = RepeatFrames.class, name = "repeatFrames"),
        @JsonSubTypes.Type(value = ReplacePicture.class, name = "replacePicture"),
        @JsonSubTypes.Type(value = ReverseFrames.class, name = "reverseFrames"),
        @JsonSubTypes.Type(value = ScaleDelays.class, name = "scaleDelays"),
        @JsonSubTypes.Type(value = SetBudget.class, name = "setBudget"),
        @JsonSubTypes.Type(value = SetCanvas.class, name = "setCanvas"),
        @JsonSubTypes.Type(value = SetDelay.class, name = "setDelay"),
        @JsonSubTypes.Type(value = SetDelivery.class, name = "setDelivery"),
        @JsonSubTypes.Type(value = SetFit.class, name = "setFit"),
        @JsonSubTypes.Type(value = SetPlays.class, name = "setPlays"),
        @JsonSubTypes.Type(value = SortByName.class, name = "sortByName"),
        @JsonSubTypes.Type(value = ThereAndBack.class, name = "thereAndBack"),
        @JsonSubTypes.Type(value = ThinFrames.class, name = "thinFrames"),
        @JsonSubTypes.Type(value = UnnameRun.class, name = "unnameRun")
    })
    interface EditShape {}

    /** What a frame shows says in {@code kind} what it is. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Still.class, name = "still"),
        @JsonSubTypes.Type(value = Card.class, name = "card")
    })
    interface ContentShape {}

    @Bean
    public JsonMapperBuilderCustomizer coreShapes() {
        return builder -> builder.addMixIn(Edit.class, EditShape.class)
                .addMixIn(FrameContent.class, ContentShape.class)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT);
    }
}
