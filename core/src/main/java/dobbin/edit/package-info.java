/**
 * Everything that can be done to a reel: one record per edit, each giving a new reel. What cannot be done is refused
 * with one {@link dobbin.edit.EditRejected} and changes nothing. A sealed type keeps to one package, so all stand here:
 *
 * <ul>
 *   <li><b>Frames</b>: AddStills, AddCard, AddPage, CopyFrames, PasteFrames, RepeatFrames, ThereAndBack, Tween, MoveFrames,
 *       ReverseFrames, SortByDate, SortByName, LeaveOut, MergeFrames, ThinFrames, RemoveFrames; NameRun, RenameRun, UnnameRun
 *   <li><b>Time</b>: SetDelay, AddToDelays, ScaleDelays, FitTotal, PaceByDate, SetPlays
 *   <li><b>Stills</b>: SetFit, SetStill, AlignStills, LightStills, ReplacePicture, ChangeCard
 *   <li><b>Cut-outs</b>: AddCutout, CopyCutouts, RemoveCutouts, RenameCutout, OrderCutout, GroupCutouts, UngroupCutout,
 *       AlignCutouts, LayCutouts, SpanCutouts, HideCutouts, ShowCutouts, SetArt, SetPivot, SetLeaves, SetBackdrop, SetBorder
 *   <li><b>Poses</b>: SetPoses, KeepPoses, MovePoses, PastePoses, RemovePoses, SpreadPoses, GlideAgain, AddMotion, ChooseTurns
 *   <li><b>Ink</b>: SetInk, CopyInk, MoveInk, SwapInk, ClearInk, InkToCutout, SetSwatches
 *   <li><b>The reel</b>: SetCanvas, CropCanvas, Rename, SetAlt, DismissNotice, Batch
 *   <li><b>Delivery</b>: SetDelivery, SetBudget
 * </ul>
 */
package dobbin.edit;
