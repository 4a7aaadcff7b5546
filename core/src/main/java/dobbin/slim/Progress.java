package dobbin.slim;

/** Receives how far the work is, now and then, perhaps from several threads; may stop it. */
@FunctionalInterface
public interface Progress {
    Progress NONE = (done, total) -> {};

    /** @throws java.util.concurrent.CancellationException to give the work up */
    void report(int done, int total);
}
