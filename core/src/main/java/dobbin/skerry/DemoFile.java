package dobbin.skerry;

/** A file as someone would bring it. */
public record DemoFile(String name, byte[] bytes) {}
