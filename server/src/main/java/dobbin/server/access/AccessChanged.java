package dobbin.server.access;

/** Event: others got rights to a reel, or lost them. */
public record AccessChanged(String reel) {}
