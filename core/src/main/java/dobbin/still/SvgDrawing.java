package dobbin.still;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.parser.resources.ResourcePolicy;
import com.github.weisj.jsvg.renderer.NullPlatformSupport;
import com.github.weisj.jsvg.renderer.output.Output;
import com.github.weisj.jsvg.renderer.output.impl.Graphics2DOutput;
import com.github.weisj.jsvg.view.FloatSize;
import com.github.weisj.jsvg.view.ViewBox;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.Graphics2D;
import java.awt.Image;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.awt.image.ImageObserver;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.CancellationException;

/** Draws an SVG file at any size. Scripts are not run, and nothing is fetched or read that the file refers to. */
public final class SvgDrawing {
    /** Size of a drawing that states none. */
    private static final int USUAL_SIDE = 480;

    /** More segments and dashes, those that are drawn again and again counted each time, are not drawn. */
    private static final int MOST_STEPS = 2_000_000;

    private SvgDrawing() {}

    /**
     * @param longerSide of the picture, 1 to 1,600; 0 for its own size, as far as that is no larger
     * @throws UnreadablePicture where it is damaged, declares entities, or takes too long to draw
     * @throws CancellationException from {@code checkpoint}
     */
    public static Raster read(byte[] file, int longerSide, Checkpoint checkpoint) throws UnreadablePicture {
        if (new String(file, StandardCharsets.UTF_8).contains("<!ENTITY")) {
            throw new UnreadablePicture("declares entities, which are not read. Save it as plain SVG");
        }
        SvgLimits.check(file);
        SVGDocument document = document(file);
        Size size = sized(document.size(), longerSide);
        BufferedImage image = new BufferedImage(size.width(), size.height(), BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        try {
            document.renderWithPlatform(
                    NullPlatformSupport.INSTANCE,
                    new Watched(pen, new Steps(checkpoint)),
                    new ViewBox(size.width(), size.height()));
        } catch (TooManySteps e) {
            throw new UnreadablePicture("draws too many shapes. Save it simpler, or as PNG", e);
        } catch (CancellationException e) {
            throw e;
        } catch (RuntimeException | StackOverflowError e) {
            throw damaged(e);
        } finally {
            pen.dispose();
        }
        return Raster.of(size, ((DataBufferInt) image.getRaster().getDataBuffer()).getData());
    }

    private static SVGDocument document(byte[] file) throws UnreadablePicture {
        LoaderContext nothingElse = LoaderContext.builder()
                .externalResourcePolicy(ResourcePolicy.DENY_ALL)
                .build();
        try {
            SVGDocument document = new SVGLoader().load(new ByteArrayInputStream(file), null, nothingElse);
            if (document == null) {
                throw damaged(null);
            }
            return document;
        } catch (RuntimeException | StackOverflowError e) {
            throw damaged(e);
        }
    }

    private static UnreadablePicture damaged(Throwable cause) {
        return new UnreadablePicture("is a damaged SVG file. Export it again", cause);
    }

    private static Size sized(FloatSize own, int longerSide) {
        boolean saysOne = own.width > 0 && own.height > 0 && Float.isFinite(own.width) && Float.isFinite(own.height);
        double width = saysOne ? own.width : USUAL_SIDE;
        double height = saysOne ? own.height : USUAL_SIDE;
        double longer = Math.max(width, height);
        double side = longerSide == 0 ? Math.min(longer, StillReader.WORKING_SIDE) : longerSide;
        return new Size((int) Math.max(1, Math.round(width * side / longer)), (int)
                Math.max(1, Math.round(height * side / longer)));
    }

    private static final class TooManySteps extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    /** Work done so far by all parts of one drawing. */
    private static final class Steps {
        private final Checkpoint checkpoint;
        private double taken;

        Steps(Checkpoint checkpoint) {
            this.checkpoint = checkpoint;
        }

        void take() {
            take(1);
        }

        void take(double pieces) {
            checkpoint.check();
            taken += pieces;
            // What is no number counts as too many.
            if (!(taken <= MOST_STEPS)) {
                throw new TooManySteps();
            }
        }
    }

    /** A few elements can stand for any number of shapes, so each step is counted. */
    private static final class Watched extends Graphics2DOutput {
        private final Graphics2D pen;
        private final Steps steps;

        Watched(Graphics2D pen, Steps steps) {
            super(pen);
            this.pen = pen;
            this.steps = steps;
        }

        @Override
        public void fillShape(Shape shape) {
            steps.take(ShapeCost.filled(shape, transform()));
            super.fillShape(shape);
        }

        @Override
        public void drawShape(Shape shape) {
            steps.take(ShapeCost.drawn(shape, stroke(), transform()));
            super.drawShape(shape);
        }

        @Override
        public void drawImage(BufferedImage image) {
            steps.take();
            super.drawImage(image);
        }

        @Override
        public void drawImage(Image image, AffineTransform place, ImageObserver observer) {
            steps.take();
            super.drawImage(image, place, observer);
        }

        @Override
        public Output createChild() {
            steps.take();
            return new Watched((Graphics2D) pen.create(), steps);
        }

        @Override
        public SafeState safeState() {
            steps.take();
            return super.safeState();
        }

        @Override
        public void applyTransform(AffineTransform transform) {
            steps.take();
            super.applyTransform(transform);
        }
    }
}
