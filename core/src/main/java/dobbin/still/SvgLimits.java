package dobbin.still;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Limits on the parts of an SVG file that are computed in one go, between two shapes. */
final class SvgLimits {
    private static final int DEEPEST = 200;
    /** Each octave of noise is twice as fine as the one before: more are finer than any pixel. */
    private static final int MOST_OCTAVES = 12;

    private static final int MOST_PARTS_OF_A_FILTER = 50;
    private static final int MOST_STOPS = 1_000;
    private static final Set<String> GRADIENTS = Set.of("linearGradient", "radialGradient");

    private SvgLimits() {}

    /** @throws UnreadablePicture where it asks for more; what is no XML is told by who draws it */
    static void check(byte[] file) throws UnreadablePicture {
        try {
            XMLStreamReader reader = SafeXml.reader(file);
            try {
                check(reader);
            } finally {
                reader.close();
            }
        } catch (XMLStreamException e) {
            // It is drawn as far as it is sound, or refused as damaged.
            return;
        }
    }

    private static void check(XMLStreamReader reader) throws XMLStreamException, UnreadablePicture {
        Deque<int[]> children = new ArrayDeque<>();
        Deque<String> names = new ArrayDeque<>();
        while (reader.hasNext()) {
            switch (reader.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    String name = reader.getLocalName();
                    if (!children.isEmpty()) {
                        checkChildren(names.peek(), ++children.peek()[0]);
                    }
                    if (children.size() > DEEPEST) {
                        throw tooMuch("elements more than " + DEEPEST + " deep in one another");
                    }
                    if (name.equals("feTurbulence")) {
                        checkOctaves(reader.getAttributeValue(null, "numOctaves"));
                    }
                    names.push(name);
                    children.push(new int[1]);
                }
                case XMLStreamConstants.END_ELEMENT -> {
                    names.pop();
                    children.pop();
                }
                default -> {}
            }
        }
    }

    private static void checkChildren(String parent, int count) throws UnreadablePicture {
        if (parent.equals("filter") && count > MOST_PARTS_OF_A_FILTER) {
            throw tooMuch("a filter of more than " + MOST_PARTS_OF_A_FILTER + " parts");
        }
        if (GRADIENTS.contains(parent) && count > MOST_STOPS) {
            throw tooMuch("a gradient of more than " + MOST_STOPS + " colors");
        }
    }

    private static void checkOctaves(String told) throws UnreadablePicture {
        try {
            if (told != null && Double.parseDouble(told.strip()) > MOST_OCTAVES) {
                throw tooMuch("noise of more than " + MOST_OCTAVES + " octaves");
            }
        } catch (NumberFormatException e) {
            throw tooMuch("noise of “" + told + "” octaves");
        }
    }

    private static UnreadablePicture tooMuch(String what) {
        return new UnreadablePicture("has " + what + ". Save it simpler, or as PNG");
    }
}
