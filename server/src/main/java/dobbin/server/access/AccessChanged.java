package dobbin.server.access;

/** Told to the rest of the application when a reel was given to others, or taken from them. */
public record AccessChanged(String reel) {}
