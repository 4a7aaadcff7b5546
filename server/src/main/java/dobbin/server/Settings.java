package dobbin.server;

import dobbin.still.DecodeLimits;
import java.time.Duration;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * What can be set from outside, as {@code dobbin.*}.
 *
 * @param dataFolder where the database lies
 * @param demo whether to put the demo reels on an empty shelf
 * @param maxFileSize of one uploaded file
 * @param maxWorkingFileSize of one working file
 * @param maxMegapixels of one picture
 * @param maxFramesPerFile of one animation
 * @param longestReading how much of one processor reading a still may take
 * @param patience how long the body of a request may come as slowly as it likes
 * @param bodiesAtOnce how many request bodies one address may send at a time
 * @param diskReserve what must stay free on the disk
 * @param quota of bytes for one person, where people have names; 0 for none
 * @param daysRemoved how long removed reels can be put back
 * @param copiesFolder for a copy a day; empty for none
 * @param copiesKept how many of these are kept
 * @param allowedHosts names this server answers to; others are refused, so that no foreign page can reach it by a name
 *     of its own
 */
@ConfigurationProperties("dobbin")
public record Settings(
        String dataFolder,
        boolean demo,
        DataSize maxFileSize,
        DataSize maxWorkingFileSize,
        int maxMegapixels,
        int maxFramesPerFile,
        Duration longestReading,
        Duration patience,
        int bodiesAtOnce,
        DataSize diskReserve,
        DataSize quota,
        int daysRemoved,
        String copiesFolder,
        int copiesKept,
        List<String> allowedHosts) {

    public DecodeLimits decodeLimits() {
        return new DecodeLimits(1_000_000L * maxMegapixels, maxFramesPerFile, maxFileSize.toBytes());
    }
}
