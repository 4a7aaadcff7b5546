package dobbin.server.pictures;

/** @param id the SHA-256 of the picture's bytes; width and height of the upright picture */
public record PictureInfo(String id, int width, int height) {}
