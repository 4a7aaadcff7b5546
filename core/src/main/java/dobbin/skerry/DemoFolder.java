package dobbin.skerry;

import java.util.List;
import java.util.Map;

/**
 * A folder as someone would bring it, and what they would do with it.
 *
 * @param reel what they call the loop
 * @param files in no useful order
 * @param delayMillis of every frame that brings none of its own
 * @param holds frames that show longer: number counting from 1, milliseconds
 * @param width it is delivered at
 * @param colors it is delivered with
 * @param dithered whether it is dithered
 */
public record DemoFolder(
        String reel,
        List<DemoFile> files,
        int delayMillis,
        Map<Integer, Integer> holds,
        int width,
        int colors,
        boolean dithered) {}
