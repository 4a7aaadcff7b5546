package dobbin.ora;

import dobbin.raster.Blend;
import dobbin.raster.Size;
import dobbin.still.SafeXml;
import dobbin.still.UnreadablePicture;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * What an OpenRaster file says of its layers.
 *
 * @param parts of the whole picture, the lowest first
 */
record OraStack(Size size, List<Part> parts) {
    private static final int DEEPEST = 50;
    private static final int MOST_PARTS = 10_000;
    private static final Map<String, Blend> BLENDS = Map.of(
            "svg:src-over", Blend.NORMAL,
            "svg:multiply", Blend.MULTIPLY,
            "svg:screen", Blend.SCREEN,
            "svg:overlay", Blend.OVERLAY,
            "svg:darken", Blend.DARKEN,
            "svg:lighten", Blend.LIGHTEN);

    /**
     * A layer, or a group of parts.
     *
     * @param source the name of its picture in the file; empty for a group
     * @param x and {@code y} of its top left corner on the canvas
     * @param opacity 0 to 1
     * @param blend how it counts on what is below
     * @param isUsual whether its way of blending is one of those known here; else it lies over as usual
     * @param parts of a group, the lowest first
     */
    record Part(
            String source,
            int x,
            int y,
            double opacity,
            boolean visible,
            Blend blend,
            boolean isUsual,
            List<Part> parts) {
        /** @return the parts over one another, where they lie */
        static Part group(List<Part> parts) {
            return new Part("", 0, 0, 1, true, Blend.NORMAL, true, parts);
        }
    }

    /** @return how many groups lie in one another at most */
    int depth() {
        return depth(parts);
    }

    private static int depth(List<Part> parts) {
        return parts.stream()
                .filter(part -> part.source().isEmpty())
                .mapToInt(part -> 1 + depth(part.parts()))
                .max()
                .orElse(0);
    }

    static OraStack read(byte[] xml) throws UnreadablePicture {
        try {
            XMLStreamReader reader = SafeXml.reader(xml);
            try {
                return read(reader);
            } finally {
                reader.close();
            }
        } catch (XMLStreamException | IllegalArgumentException e) {
            throw new UnreadablePicture("has a list of layers that cannot be read (" + OraZip.STACK + ")", e);
        }
    }

    private static OraStack read(XMLStreamReader reader) throws XMLStreamException, UnreadablePicture {
        Size size = null;
        Deque<List<Part>> open = new ArrayDeque<>();
        Deque<Part> groups = new ArrayDeque<>();
        open.push(new ArrayList<>());
        int parts = 0;
        boolean isInRoot = false;
        while (reader.hasNext()) {
            int event = reader.next();
            String name = reader.hasName() ? reader.getLocalName() : "";
            if (event == XMLStreamConstants.START_ELEMENT && name.equals("image")) {
                size = new Size(number(reader, "w", 0), number(reader, "h", 0));
            } else if (event == XMLStreamConstants.START_ELEMENT && (name.equals("layer") || name.equals("stack"))) {
                if (name.equals("stack") && !isInRoot) {
                    isInRoot = true;
                    continue;
                }
                Part outer = groups.peek();
                Part part = part(reader, outer == null ? 0 : outer.x(), outer == null ? 0 : outer.y());
                if (++parts > MOST_PARTS || groups.size() > DEEPEST) {
                    throw new UnreadablePicture("has more layers than can be read");
                }
                open.element().add(part);
                if (name.equals("stack")) {
                    groups.push(part);
                    open.push(part.parts());
                }
            } else if (event == XMLStreamConstants.END_ELEMENT && name.equals("stack") && !groups.isEmpty()) {
                groups.pop();
                Collections.reverse(open.pop());
            }
        }
        List<Part> all = open.getLast();
        Collections.reverse(all);
        if (size == null) {
            throw new UnreadablePicture("does not say how large it is (" + OraZip.STACK + ")");
        }
        return new OraStack(size, all);
    }

    /** @param left and {@code top} of the group it is in */
    private static Part part(XMLStreamReader reader, int left, int top) throws UnreadablePicture {
        boolean isGroup = reader.getLocalName().equals("stack");
        String source = attribute(reader, "src", "");
        if (!isGroup && source.isEmpty()) {
            throw new UnreadablePicture("has a layer without a picture (" + OraZip.STACK + ")");
        }
        String blend = attribute(reader, "composite-op", "svg:src-over");
        return new Part(
                isGroup ? "" : source,
                left + number(reader, "x", 0),
                top + number(reader, "y", 0),
                Math.max(0, Math.min(1, Double.parseDouble(attribute(reader, "opacity", "1")))),
                !attribute(reader, "visibility", "visible").equals("hidden"),
                BLENDS.getOrDefault(blend, Blend.NORMAL),
                BLENDS.containsKey(blend),
                isGroup ? new ArrayList<>() : List.of());
    }

    private static int number(XMLStreamReader reader, String name, int usual) {
        return (int) Math.round(Double.parseDouble(attribute(reader, name, String.valueOf(usual))));
    }

    private static String attribute(XMLStreamReader reader, String name, String usual) {
        String value = reader.getAttributeValue(null, name);
        return value == null ? usual : value;
    }
}
