package dobbin.edit;

import dobbin.reel.OutOfRange;
import dobbin.reel.Reel;

/** One change to a reel, as a value. The same edit on the same reel gives the same reel, always. */
public sealed interface Edit
        permits AddCard,
                AddCutout,
                AddMotion,
                AddPage,
                AddStills,
                AddToDelays,
                AlignCutouts,
                AlignStills,
                Batch,
                ChangeCard,
                ChooseTurns,
                ClearInk,
                CopyCutouts,
                CopyFrames,
                CopyInk,
                CropCanvas,
                DismissNotice,
                FitTotal,
                GlideAgain,
                GroupCutouts,
                HideCutouts,
                InkToCutout,
                KeepPoses,
                LayCutouts,
                LeaveOut,
                LightStills,
                MergeFrames,
                MoveFrames,
                MoveInk,
                MovePoses,
                NameRun,
                OrderCutout,
                PaceByDate,
                PasteFrames,
                PastePoses,
                RemoveCutouts,
                RemoveFrames,
                RemovePoses,
                Rename,
                RenameCutout,
                RenameRun,
                RepeatFrames,
                ReplacePicture,
                ReverseFrames,
                ScaleDelays,
                SetArt,
                SetAlt,
                SetBackdrop,
                SetBorder,
                SetBudget,
                SetCanvas,
                SetDelay,
                SetDelivery,
                SetFit,
                SetInk,
                SetLeaves,
                SetPivot,
                SetPlays,
                SetPoses,
                SetStill,
                SetSwatches,
                ShowCutouts,
                SortByDate,
                SortByName,
                SpanCutouts,
                SpreadPoses,
                SwapInk,
                ThereAndBack,
                ThinFrames,
                Tween,
                UngroupCutout,
                UnnameRun {

    /** Gives the changed reel, or throws {@link OutOfRange}, which {@link #apply} turns into a refusal. */
    Reel applyTo(Reel reel);

    /**
     * @return whether it can be done after edits it knows nothing of, wherever what it names still is there; false for
     *     one that states several things at once and would undo what others set
     */
    default boolean fitsAnyState() {
        return true;
    }

    /**
     * @return whether this one takes the place of {@code before}, made a moment ago, so that both are undone at once: the
     *     next of a row of nudges, or the next value of one field
     */
    default boolean continues(Edit before) {
        return false;
    }

    /** @return what both did together, where this one goes on with {@code before} */
    default Edit joined(Edit before) {
        return this;
    }

    /** @return whether {@link #continues} counts however much later it comes: stills that come in one by one are one step */
    default boolean gathersOn() {
        return false;
    }

    /** @return what the edit does to {@code reel}, in a few words for the undo button: "Reverse 6 frames" */
    String title(Reel reel);

    /** @throws EditRejected where the edit makes no sense on this reel or would make it invalid */
    static Reel apply(Edit edit, Reel reel) {
        try {
            return edit.applyTo(reel);
        } catch (OutOfRange e) {
            throw new EditRejected(e.field(), e.getMessage(), e);
        }
    }
}
