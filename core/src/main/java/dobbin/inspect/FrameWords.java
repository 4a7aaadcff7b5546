package dobbin.inspect;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Frames by the numbers people see: "Frame 3", "Frames 3 to 8", "Frames 2, 5 and 9", "7 frames". */
final class FrameWords {
    private static final int MOST_LISTED = 4;

    private final Map<Integer, Integer> numbers = new HashMap<>();

    FrameWords(Reel reel) {
        for (Frame frame : reel.frames()) {
            numbers.put(frame.id(), numbers.size() + 1);
        }
    }

    int number(Frame frame) {
        return numbers.get(frame.id());
    }

    /** @param frames at least one, in playing order */
    String of(List<Frame> frames) {
        int first = number(frames.get(0));
        int last = number(frames.get(frames.size() - 1));
        if (frames.size() == 1) {
            return "Frame " + first;
        }
        if (frames.size() > 2 && last - first == frames.size() - 1) {
            return "Frames " + first + " to " + last;
        }
        if (frames.size() > MOST_LISTED) {
            return frames.size() + " frames";
        }
        List<String> listed = new ArrayList<>();
        frames.forEach(frame -> listed.add(String.valueOf(number(frame))));
        String end = listed.remove(listed.size() - 1);
        return "Frames " + String.join(", ", listed) + " and " + end;
    }
}
