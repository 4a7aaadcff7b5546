package dobbin.form;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;

/**
 * A form in which a loop is delivered. A new one is a class, a line in {@link Forms#ALL}, and a choice in the interface. The
 * same material gives the same bytes.
 */
public interface Form {
    /** @return by which it is asked for, in small letters */
    String id();

    /** @return what the names of its files end with, the main one first: ".gif" */
    List<String> suffixes();

    /** Opens its files one after the other, in the order of {@link #suffixes}; each is ended by the next. */
    @FunctionalInterface
    interface Files {
        /** @return where the bytes go; it is not to be closed */
        OutputStream next(String suffix) throws IOException;
    }

    /** @throws dobbin.reel.OutOfRange where that cannot be, naming why */
    void write(Material material, Files files) throws IOException;
}
