package dobbin.server.web;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import dobbin.edit.AddCard;
import dobbin.edit.AddCutout;
import dobbin.edit.AddMotion;
import dobbin.edit.AddStills;
import dobbin.edit.AddToDelays;
import dobbin.edit.AlignCutouts;
import dobbin.edit.ChangeCard;
import dobbin.edit.CopyCutouts;
import dobbin.edit.CopyFrames;
import dobbin.edit.DismissNotice;
import dobbin.edit.Edit;
import dobbin.edit.FitTotal;
import dobbin.edit.GlideAgain;
import dobbin.edit.GroupCutouts;
import dobbin.edit.HideCutouts;
import dobbin.edit.KeepPoses;
import dobbin.edit.LayCutouts;
import dobbin.edit.LeaveOut;
import dobbin.edit.MergeFrames;
import dobbin.edit.Motion;
import dobbin.edit.MoveFrames;
import dobbin.edit.MovePoses;
import dobbin.edit.NameRun;
import dobbin.edit.OrderCutout;
import dobbin.edit.PasteFrames;
import dobbin.edit.PastePoses;
import dobbin.edit.RemoveCutouts;
import dobbin.edit.RemoveFrames;
import dobbin.edit.RemovePoses;
import dobbin.edit.Rename;
import dobbin.edit.RenameCutout;
import dobbin.edit.RenameRun;
import dobbin.edit.RepeatFrames;
import dobbin.edit.ReplacePicture;
import dobbin.edit.ReverseFrames;
import dobbin.edit.ScaleDelays;
import dobbin.edit.SetArt;
import dobbin.edit.SetBackdrop;
import dobbin.edit.SetBorder;
import dobbin.edit.SetBudget;
import dobbin.edit.SetCanvas;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.edit.SetFit;
import dobbin.edit.SetLeaves;
import dobbin.edit.SetPivot;
import dobbin.edit.SetPlays;
import dobbin.edit.SetPoses;
import dobbin.edit.SortByName;
import dobbin.edit.SpanCutouts;
import dobbin.edit.SpreadPoses;
import dobbin.edit.ThereAndBack;
import dobbin.edit.ThinFrames;
import dobbin.edit.Tween;
import dobbin.edit.UngroupCutout;
import dobbin.edit.UnnameRun;
import dobbin.reel.Art;
import dobbin.reel.Backdrop;
import dobbin.reel.Card;
import dobbin.reel.CrossFade;
import dobbin.reel.Cycle;
import dobbin.reel.Fill;
import dobbin.reel.FrameContent;
import dobbin.reel.Group;
import dobbin.reel.Shape;
import dobbin.reel.Still;
import dobbin.reel.Words;
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
        @JsonSubTypes.Type(value = AddCutout.class, name = "addCutout"),
        @JsonSubTypes.Type(value = AddMotion.class, name = "addMotion"),
        @JsonSubTypes.Type(value = AddStills.class, name = "addStills"),
        @JsonSubTypes.Type(value = AddToDelays.class, name = "addToDelays"),
        @JsonSubTypes.Type(value = AlignCutouts.class, name = "alignCutouts"),
        @JsonSubTypes.Type(value = ChangeCard.class, name = "changeCard"),
        @JsonSubTypes.Type(value = CopyCutouts.class, name = "copyCutouts"),
        @JsonSubTypes.Type(value = CopyFrames.class, name = "copyFrames"),
        @JsonSubTypes.Type(value = DismissNotice.class, name = "dismissNotice"),
        @JsonSubTypes.Type(value = FitTotal.class, name = "fitTotal"),
        @JsonSubTypes.Type(value = GlideAgain.class, name = "glideAgain"),
        @JsonSubTypes.Type(value = GroupCutouts.class, name = "groupCutouts"),
        @JsonSubTypes.Type(value = HideCutouts.class, name = "hideCutouts"),
        @JsonSubTypes.Type(value = KeepPoses.class, name = "keepPoses"),
        @JsonSubTypes.Type(value = LayCutouts.class, name = "layCutouts"),
        @JsonSubTypes.Type(value = LeaveOut.class, name = "leaveOut"),
        @JsonSubTypes.Type(value = MergeFrames.class, name = "mergeFrames"),
        @JsonSubTypes.Type(value = MoveFrames.class, name = "moveFrames"),
        @JsonSubTypes.Type(value = MovePoses.class, name = "movePoses"),
        @JsonSubTypes.Type(value = NameRun.class, name = "nameRun"),
        @JsonSubTypes.Type(value = OrderCutout.class, name = "orderCutout"),
        @JsonSubTypes.Type(value = PasteFrames.class, name = "pasteFrames"),
        @JsonSubTypes.Type(value = PastePoses.class, name = "pastePoses"),
        @JsonSubTypes.Type(value = RemoveCutouts.class, name = "removeCutouts"),
        @JsonSubTypes.Type(value = RemoveFrames.class, name = "removeFrames"),
        @JsonSubTypes.Type(value = RemovePoses.class, name = "removePoses"),
        @JsonSubTypes.Type(value = Rename.class, name = "rename"),
        @JsonSubTypes.Type(value = RenameCutout.class, name = "renameCutout"),
        @JsonSubTypes.Type(value = RenameRun.class, name = "renameRun"),
        @JsonSubTypes.Type(value = RepeatFrames.class, name = "repeatFrames"),
        @JsonSubTypes.Type(value = ReplacePicture.class, name = "replacePicture"),
        @JsonSubTypes.Type(value = ReverseFrames.class, name = "reverseFrames"),
        @JsonSubTypes.Type(value = ScaleDelays.class, name = "scaleDelays"),
        @JsonSubTypes.Type(value = SetArt.class, name = "setArt"),
        @JsonSubTypes.Type(value = SetBackdrop.class, name = "setBackdrop"),
        @JsonSubTypes.Type(value = SetBorder.class, name = "setBorder"),
        @JsonSubTypes.Type(value = SetBudget.class, name = "setBudget"),
        @JsonSubTypes.Type(value = SetCanvas.class, name = "setCanvas"),
        @JsonSubTypes.Type(value = SetDelay.class, name = "setDelay"),
        @JsonSubTypes.Type(value = SetDelivery.class, name = "setDelivery"),
        @JsonSubTypes.Type(value = SetFit.class, name = "setFit"),
        @JsonSubTypes.Type(value = SetLeaves.class, name = "setLeaves"),
        @JsonSubTypes.Type(value = SetPivot.class, name = "setPivot"),
        @JsonSubTypes.Type(value = SetPlays.class, name = "setPlays"),
        @JsonSubTypes.Type(value = SetPoses.class, name = "setPoses"),
        @JsonSubTypes.Type(value = SortByName.class, name = "sortByName"),
        @JsonSubTypes.Type(value = SpanCutouts.class, name = "spanCutouts"),
        @JsonSubTypes.Type(value = SpreadPoses.class, name = "spreadPoses"),
        @JsonSubTypes.Type(value = ThereAndBack.class, name = "thereAndBack"),
        @JsonSubTypes.Type(value = ThinFrames.class, name = "thinFrames"),
        @JsonSubTypes.Type(value = Tween.class, name = "tween"),
        @JsonSubTypes.Type(value = UngroupCutout.class, name = "ungroupCutout"),
        @JsonSubTypes.Type(value = UnnameRun.class, name = "unnameRun")
    })
    interface EditShape {}

    /** What a frame shows says in {@code kind} what it is. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Still.class, name = "still"),
        @JsonSubTypes.Type(value = Card.class, name = "card"),
        @JsonSubTypes.Type(value = CrossFade.class, name = "crossFade")
    })
    interface ContentShape {}

    /** What a cut-out shows does, too. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Cycle.class, name = "cycle"),
        @JsonSubTypes.Type(value = Words.class, name = "words"),
        @JsonSubTypes.Type(value = Shape.class, name = "shape"),
        @JsonSubTypes.Type(value = Group.class, name = "group")
    })
    interface ArtShape {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Fill.class, name = "fill"),
        @JsonSubTypes.Type(value = Still.class, name = "still")
    })
    interface BackdropShape {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Motion.Slide.class, name = "slide"),
        @JsonSubTypes.Type(value = Motion.Fade.class, name = "fade"),
        @JsonSubTypes.Type(value = Motion.Blink.class, name = "blink"),
        @JsonSubTypes.Type(value = Motion.Grow.class, name = "grow"),
        @JsonSubTypes.Type(value = Motion.Spin.class, name = "spin"),
        @JsonSubTypes.Type(value = Motion.Bob.class, name = "bob"),
        @JsonSubTypes.Type(value = Motion.Shake.class, name = "shake"),
        @JsonSubTypes.Type(value = Motion.Follow.class, name = "follow"),
        @JsonSubTypes.Type(value = Motion.Letters.class, name = "letters"),
        @JsonSubTypes.Type(value = Motion.WalkColors.class, name = "walkColors")
    })
    interface MotionShape {}

    @Bean
    public JsonMapperBuilderCustomizer coreShapes() {
        return builder -> builder.addMixIn(Edit.class, EditShape.class)
                .addMixIn(FrameContent.class, ContentShape.class)
                .addMixIn(Art.class, ArtShape.class)
                .addMixIn(Backdrop.class, BackdropShape.class)
                .addMixIn(Motion.class, MotionShape.class)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT);
    }
}
