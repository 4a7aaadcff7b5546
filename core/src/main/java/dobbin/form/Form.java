package dobbin.form;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;

/**
 * A form in which a loop is delivered. A new one is a class that writes it, a line in {@link Forms#ALL}, and a choice in the
 * interface. The same material gives the same bytes.
 *
 * @param id by which it is asked for, in small letters
 * @param suffixes what the names of its files end with, the main one first: ".gif"
 * @param needsGif whether it is made of the loop as a GIF, so that the settings of that count
 */
public record Form(String id, List<String> suffixes, boolean needsGif, Writer writer) {
    /** Opens its files one after the other, in the order of {@link #suffixes}; each is ended by the next. */
    @FunctionalInterface
    public interface Files {
        /** @return where the bytes go; it is not to be closed */
        OutputStream next(String suffix) throws IOException;
    }

    /** Writes the files of a form. */
    @FunctionalInterface
    public interface Writer {
        void write(Material material, Files files) throws IOException;
    }

    /** @throws dobbin.reel.OutOfRange where that cannot be, naming why */
    public void write(Material material, Files files) throws IOException {
        writer.write(material, files);
    }
}
