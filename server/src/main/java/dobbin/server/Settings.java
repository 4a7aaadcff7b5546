package dobbin.server;

import dobbin.still.DecodeLimits;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * What can be set from outside, as {@code dobbin.*}.
 *
 * @param dataFolder where the database lies
 * @param demo whether to put the demo reels on an empty shelf
 * @param maxFileSize of one uploaded file
 * @param maxMegapixels of one picture
 * @param maxFramesPerFile of one animation
 * @param megapixelsReadAtOnce how much of what is uploaded is decoded at a time; a pixel needs up to 12 bytes
 * @param pictureCache memory for decoded pictures
 * @param renderCache memory for drawn frames
 * @param deliveryCache memory for encoded files
 * @param frameCache memory for frames as they were drawn for the file
 * @param allowedHosts names this server answers to; others are refused, so that no foreign page can reach it by a name
 *     of its own
 */
@ConfigurationProperties("dobbin")
public record Settings(
        String dataFolder,
        boolean demo,
        DataSize maxFileSize,
        int maxMegapixels,
        int maxFramesPerFile,
        int megapixelsReadAtOnce,
        DataSize pictureCache,
        DataSize renderCache,
        DataSize deliveryCache,
        DataSize frameCache,
        List<String> allowedHosts) {

    public DecodeLimits decodeLimits() {
        return new DecodeLimits(1_000_000L * maxMegapixels, maxFramesPerFile, maxFileSize.toBytes());
    }
}
