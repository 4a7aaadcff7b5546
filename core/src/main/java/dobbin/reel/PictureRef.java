package dobbin.reel;

import dobbin.raster.Size;

/**
 * A picture that was uploaded.
 *
 * @param picture which one: the SHA-256 of its bytes, 64 hexadecimal digits
 * @param size of the upright picture in that file
 */
public record PictureRef(String picture, Size size) {
    public PictureRef {
        Ranges.checkPicture("picture", picture, size);
    }
}
