package dobbin.edit;

import dobbin.lettering.OwnTypeface;
import dobbin.lettering.TextBlock.Align;
import dobbin.lettering.Typeface;
import dobbin.raster.Size;
import dobbin.reel.Aligned;
import dobbin.reel.Card;
import dobbin.reel.Cutout;
import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.Ink;
import dobbin.reel.Light;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.timing.Easing;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/** Edits as people might make them in any order, from a seed. Some will be refused. */
final class AnyEdit {
    private static final int MOST_FRAMES = 300;

    private AnyEdit() {}

    static Edit on(Reel reel, Random random) {
        if (reel.frames().isEmpty()) {
            return new AddStills(List.of(EditTest.still("New " + random.nextInt(50), new Size(960, 640))), 0);
        }
        if (reel.frames().size() > MOST_FRAMES) {
            return new RemoveFrames(someOf(reel, random));
        }
        return switch (random.nextInt(3)) {
            case 0 -> ofOrder(reel, random);
            case 1 -> ofCutouts(reel, random);
            default -> ofAnything(reel, random);
        };
    }

    /** One that adds a cut-out or does something to those there are. */
    static Edit ofCutouts(Reel reel, Random random) {
        int frame = someOf(reel, random).get(0);
        if (reel.cutouts().isEmpty() || random.nextInt(8) == 0) {
            return new AddCutout(
                    "New",
                    List.of(Moving.BADGE, Moving.words("Tide"), Moving.GULL).get(random.nextInt(3)),
                    pose(random),
                    frame);
        }
        List<Integer> some = reel.cutouts().stream()
                .map(Cutout::id)
                .filter(id -> random.nextBoolean())
                .toList();
        Cutout one = reel.cutouts().get(random.nextInt(reel.cutouts().size()));
        List<Integer> run = runOf(reel, random);
        List<Cell> cells = run.stream().map(each -> new Cell(one.id(), each)).toList();
        int end = run.get(run.size() - 1);
        return switch (random.nextInt(19)) {
            case 0 -> new RemoveCutouts(List.of(one.id()));
            case 1 -> new CopyCutouts(List.of(one.id()));
            case 2 -> new SetPivot(one.id(), random.nextDouble(), random.nextDouble());
            case 3 -> new SpanCutouts(List.of(one.id()), run.get(0), end);
            case 4 -> new OrderCutout(one.id(), some.isEmpty() ? 0 : some.get(0));
            case 5 -> new KeepPoses(cells);
            case 6 -> new RemovePoses(cells);
            case 7 -> new MovePoses(cells, random.nextInt(7) - 3);
            case 8 -> new SpreadPoses(cells);
            case 9 -> new GlideAgain(List.of(one.id()), run.get(0), end, Easing.SOFT);
            case 10 -> new Tween(frame, 1 + random.nextInt(4), 30, Easing.EVEN, random.nextBoolean());
            case 11 -> new GroupCutouts(some, "Group", frame);
            case 12 -> new UngroupCutout(one.id());
            case 13 -> new ShowCutouts(cells, random.nextBoolean());
            case 14 -> new ChooseTurns(cells, random.nextInt(2));
            case 15 -> new Batch(List.of(new ShowCutouts(cells, false), new SetPivot(one.id(), 0, 0)), "Both");
            case 16 -> new AddMotion(List.of(one.id()), run.get(0), end, new Motion.Bob(9, 1));
            default ->
                new SetPoses(List.of(new Placed(one.id(), pose(random))), frame, Scope.values()[random.nextInt(3)]);
        };
    }

    private static Pose pose(Random random) {
        double scale = 0.5 + random.nextInt(4);
        return new Pose(random.nextInt(900), random.nextInt(600), scale, scale, random.nextInt(360), 1, 1, 0);
    }

    /** One that moves frames about, and neither adds nor removes any. */
    static Edit ofOrder(Reel reel, Random random) {
        List<Integer> some = random.nextBoolean() ? someOf(reel, random) : runOf(reel, random);
        return switch (random.nextInt(3)) {
            case 0 -> new MoveFrames(some, gap(reel, random));
            case 1 -> new ReverseFrames(some);
            default -> new SortByName(some);
        };
    }

    /** One that gives the reel other frames: in another order, more, or fewer. */
    static Edit ofFrames(Reel reel, Random random) {
        List<Integer> some = someOf(reel, random);
        List<Integer> run = runOf(reel, random);
        int gap = gap(reel, random);
        return switch (random.nextInt(9)) {
            case 0 -> new CopyFrames(some, gap);
            case 1 -> new RepeatFrames(run, 2 + random.nextInt(3));
            case 2 -> new ThereAndBack(run, random.nextBoolean());
            case 3 -> new RemoveFrames(some);
            case 4 -> new ThinFrames(run, 2 + random.nextInt(4));
            case 5 -> new MergeFrames(run);
            case 6 -> new AddCard(card(random), 500, gap);
            case 7 -> new Tween(some.get(0), 1 + random.nextInt(4), 30, Easing.SOFT, false);
            default -> ofOrder(reel, random);
        };
    }

    private static Edit ofAnything(Reel reel, Random random) {
        List<Integer> some = someOf(reel, random);
        List<Integer> run = runOf(reel, random);
        int gap = gap(reel, random);
        int one = some.get(0);
        return switch (random.nextInt(30)) {
            case 0 -> new CopyFrames(some, gap);
            case 1 -> new CopyFrames(run, gap);
            case 2 -> new RepeatFrames(run, 2 + random.nextInt(3));
            case 3 -> new ThereAndBack(run, random.nextBoolean());
            case 4 -> new RemoveFrames(some.subList(0, 1 + some.size() / 4));
            case 5 -> new LeaveOut(some, random.nextInt(3) > 0);
            case 6 -> new ThinFrames(run, 2 + random.nextInt(4));
            case 7 -> new MergeFrames(run);
            case 8 -> new SetDelay(some, 10 + random.nextInt(3_000));
            case 9 -> new AddToDelays(some, random.nextInt(200) - 60);
            case 10 -> new FitTotal(some, 1_000 + random.nextInt(20_000));
            case 11 -> new ScaleDelays(some, 25 + random.nextInt(300));
            case 12, 13 -> new NameRun(run, "Run " + random.nextInt(9));
            case 14 ->
                new UnnameRun(reel.runs().isEmpty() ? 1 : reel.runs().get(0).id());
            case 15 -> new AddCard(card(random), 500, gap);
            case 16 -> new ChangeCard(List.of(one), card(random));
            case 17 -> new ReplacePicture(one, EditTest.still("Other " + random.nextInt(9), new Size(640, 480)));
            case 18 -> new SetFit(some, new Fit(Fit.Way.values()[random.nextInt(4)], random.nextDouble(), 0.5, ""));
            case 19 -> new SetCanvas(1 + random.nextInt(900), 300 + random.nextInt(900));
            case 20, 21, 22, 23 -> ofInk(reel, random, some, one);
            case 24 ->
                new AlignStills(List.of(new AlignStills.Moved(one, new Aligned(random.nextInt(40), 3, 2, 1.1, 1))));
            case 27 -> new LightStills(List.of(new LightStills.Lit(one, new Light(1.1, -0.05))));
            case 25 -> new SortByDate(some);
            case 26 -> new PaceByDate(some, 10_000);
            case 28 -> random.nextBoolean() ? new SetAlt("Tide " + one) : new SetStill(one);
            default -> new PasteFrames(List.of(new Pasted(card(random), ink(random), 80)), gap);
        };
    }

    static Ink ink(Random random) {
        return random.nextBoolean()
                ? Ink.NONE
                : new Ink("0f".repeat(32), new Size(40, 30), random.nextInt(200) - 50, random.nextInt(200) - 50);
    }

    /** One that draws, or does something to what is drawn. */
    private static Edit ofInk(Reel reel, Random random, List<Integer> some, int one) {
        String before = reel.frames().stream()
                .filter(frame -> frame.id() == one)
                .findFirst()
                .orElseThrow()
                .ink()
                .picture();
        return switch (random.nextInt(8)) {
            case 0 -> new ClearInk(some);
            case 1 -> new CopyInk(random.nextBoolean() ? List.of(one) : List.of(one, one), some);
            case 2 -> new SwapInk(one, some.get(some.size() - 1));
            case 3 -> new MoveInk(some, random.nextInt(40) - 20, random.nextInt(40) - 20);
            case 4 -> new AddPage(one, random.nextBoolean());
            case 5 -> new InkToCutout(one);
            case 6 -> new SetSwatches(List.of("20283" + random.nextInt(10), "b23a24"));
            default -> new SetInk(List.of(new SetInk.Drawn(one, before, ink(random))), "Draw");
        };
    }

    static Card card(Random random) {
        return new Card(
                "1e2a3" + random.nextInt(10), "Low tide", Typeface.HAND, OwnTypeface.NONE, 40, "ffffff", Align.CENTER);
    }

    static List<Integer> someOf(Reel reel, Random random) {
        List<Integer> ids = ids(reel);
        Collections.shuffle(ids, random);
        return ids.subList(0, 1 + random.nextInt(ids.size()));
    }

    /** Frames that follow one another. */
    static List<Integer> runOf(Reel reel, Random random) {
        List<Integer> ids = ids(reel);
        int from = random.nextInt(ids.size());
        return ids.subList(from, from + 1 + random.nextInt(Math.min(12, ids.size() - from)));
    }

    static int gap(Reel reel, Random random) {
        int at = random.nextInt(reel.frames().size() + 1);
        return at == 0 ? 0 : reel.frames().get(at - 1).id();
    }

    private static List<Integer> ids(Reel reel) {
        return new ArrayList<>(reel.frames().stream().map(Frame::id).toList());
    }
}
