package dobbin.document;

import dobbin.lettering.OwnTypeface;
import dobbin.lettering.UnusableTypeface;
import dobbin.raster.Size;
import dobbin.reel.ContentName;
import dobbin.reel.OutOfRange;
import dobbin.reel.PictureRef;
import dobbin.reel.Reel;
import dobbin.reel.Sharing;
import dobbin.still.DecodeLimits;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;

/**
 * A working file that was opened: docs/file-format.md tells what is in it. Once it is open all of it is sound but the
 * pictures, each of which is checked when it is read.
 */
public final class WorkingFile implements Work, Closeable {
    /** What a working file's name ends in. */
    public static final String SUFFIX = ".dobbin";

    private static final Instant EARLIEST = Instant.parse("0001-01-01T00:00:00Z");
    private static final Instant LATEST = Instant.parse("9999-12-31T23:59:59.999Z");
    private static final int LARGEST_DOCUMENT = 64_000_000;
    private static final int MOST_STEPS = 100_000;
    private static final int LONGEST_TITLE = 200;

    private final WorkZip zip;
    private final DecodeLimits limits;
    private final Set<String> typefaces;
    private final OwnTypeface.Finding finding;
    private final Reel reel;
    private final Steps past;
    private final Map<String, Size> pictures = new HashMap<>();
    private final Set<String> usedTypefaces = new HashSet<>();

    /**
     * @param limits that pictures must keep to
     * @throws UnreadableWork where it is damaged or incomplete, has parts that belong to no working file, or comes from a later
     *     version
     */
    public static WorkingFile open(Path file, DecodeLimits limits) throws IOException {
        return open(file, limits, typeface -> {});
    }

    /** Tries a typeface file, before letters are drawn in it here. */
    @FunctionalInterface
    public interface TypefaceTrial {
        /** @throws UnusableTypeface where it cannot be used */
        void of(byte[] typeface) throws UnusableTypeface;
    }

    /** Opens it as {@link #open(Path, DecodeLimits)} does. @param trial of each typeface in it */
    public static WorkingFile open(Path file, DecodeLimits limits, TypefaceTrial trial) throws IOException {
        WorkZip zip = WorkZip.open(file);
        // Letters are measured in its typefaces while it is read.
        OwnTypeface.Finding finding = OwnTypeface.findIn(name -> typefaceIn(zip, name));
        try {
            return new WorkingFile(zip, limits, trial, finding);
        } catch (IOException | RuntimeException e) {
            finding.close();
            zip.close();
            throw e;
        }
    }

    private WorkingFile(WorkZip zip, DecodeLimits limits, TypefaceTrial trial, OwnTypeface.Finding finding)
            throws IOException {
        this.zip = zip;
        this.limits = limits;
        this.finding = finding;
        this.typefaces = namesIn(WorkParts.typeface(""));
        for (String name : typefaces) {
            check(name, trial);
        }
        this.reel = document(WorkParts.REEL);
        this.past = zip.has(WorkParts.HISTORY) ? new Steps() : null;
        checkSteps();
        checkFiles(WorkParts.picture(""), namesIn(WorkParts.picture("")), pictures.keySet());
        checkFiles(WorkParts.typeface(""), typefaces, usedTypefaces);
    }

    @Override
    public Reel reel() {
        return reel;
    }

    @Override
    public Optional<Past> past() {
        return Optional.ofNullable(past);
    }

    /** @return all pictures that are named at any step, each with the size it has, or had before it was reduced */
    public List<PictureRef> pictures() {
        return pictures.entrySet().stream()
                .map(each -> new PictureRef(each.getKey(), each.getValue()))
                .sorted((a, b) -> a.picture().compareTo(b.picture()))
                .toList();
    }

    /** @return the names of all typefaces in it */
    public Set<String> typefaces() {
        return typefaces;
    }

    @Override
    public byte[] picture(String name) throws IOException {
        return named(zip, WorkParts.picture(name), name, limits.maxBytes());
    }

    @Override
    public byte[] typeface(String name) throws IOException {
        return named(zip, WorkParts.typeface(name), name, OwnTypeface.LARGEST_FILE);
    }

    /** @return a failure to read a picture, with its part named */
    public UnreadableWork refused(String picture, String clause, Throwable cause) {
        return new UnreadableWork("has a part “" + WorkParts.picture(picture) + "” that " + clause, cause);
    }

    @Override
    public void close() throws IOException {
        finding.close();
        zip.close();
    }

    /** Its steps, read when they are asked for: all of them at once may not fit into memory. */
    private final class Steps implements Past {
        private final WorkWriter.Steps told;

        Steps() throws IOException {
            byte[] part = zip.read(WorkParts.HISTORY, LARGEST_DOCUMENT);
            try {
                told = ReelDocument.JSON.readValue(part, WorkWriter.Steps.class);
            } catch (JacksonException e) {
                throw unreadable(WorkParts.HISTORY, "", e);
            }
        }

        @Override
        public int current() {
            return told.current();
        }

        @Override
        public List<Step> steps() {
            return told.steps();
        }

        @Override
        public Reel reel(int step) throws IOException {
            return document(WorkParts.step(step));
        }
    }

    private static Optional<byte[]> typefaceIn(WorkZip zip, String name) {
        String part = WorkParts.typeface(name);
        try {
            return zip.has(part) ? Optional.of(named(zip, part, name, OwnTypeface.LARGEST_FILE)) : Optional.empty();
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    private void check(String typeface, TypefaceTrial trial) throws IOException {
        try {
            byte[] file = typeface(typeface);
            trial.of(file);
            OwnTypeface.of(file, typeface);
        } catch (UnusableTypeface e) {
            throw new UnreadableWork("has a part “" + WorkParts.typeface(typeface) + "” that " + e.getMessage(), e);
        }
    }

    private void checkSteps() throws IOException {
        note(WorkParts.REEL, reel);
        int documents = namesIn("history/").size();
        int count = past == null ? 0 : past.steps().size();
        if (documents != count) {
            throw new UnreadableWork(
                    "tells of " + count + " steps in “" + WorkParts.HISTORY + "” and has " + documents);
        }
        if (past == null) {
            return;
        }
        boolean titled = past.steps().stream()
                .allMatch(step -> !step.title().isBlank() && step.title().length() <= LONGEST_TITLE);
        if (count == 0 || count > MOST_STEPS || past.current() < 0 || past.current() >= count || !titled) {
            throw new UnreadableWork("has a part “" + WorkParts.HISTORY + "” that tells of no steps, of more than "
                    + MOST_STEPS + ", of one without a title, or of one it does not have");
        }
        for (int step = 0; step < count; step++) {
            Reel then = past.reel(step);
            note(WorkParts.step(step), then);
            Instant made = past.steps().get(step).made();
            if (made == null || made.isBefore(EARLIEST) || made.isAfter(LATEST)) {
                throw new UnreadableWork("has a part “" + WorkParts.HISTORY + "” whose step " + step
                        + " was not made between the years 1 and 9999");
            }
            if (step == past.current() && !then.equals(reel)) {
                throw new UnreadableWork("has a part “" + WorkParts.step(step) + "” that is not “" + WorkParts.REEL
                        + "”, which it should be");
            }
        }
    }

    private void note(String part, Reel then) throws IOException {
        int still = then.sharing().still();
        if (still != Sharing.FIRST && then.frames().stream().noneMatch(frame -> frame.id() == still)) {
            throw new UnreadableWork(
                    "has a part “" + part + "” whose sharing.still is " + still + ", which is no frame of it");
        }
        for (PictureRef ref : then.pictures()) {
            Size other = pictures.putIfAbsent(ref.picture(), ref.size());
            if (other != null && !other.equals(ref.size())) {
                throw new UnreadableWork("has a part “" + part + "” that gives the picture " + ref.picture()
                        + " another size than before");
            }
        }
        then.typefaces().forEach(typeface -> usedTypefaces.add(typeface.file()));
    }

    /** What the reel uses must be there, and nothing else. */
    private static void checkFiles(String folder, Set<String> there, Set<String> used) throws UnreadableWork {
        for (String name : used) {
            if (!there.contains(name)) {
                throw new UnreadableWork("lacks the part “" + folder + name + "”");
            }
        }
        for (String name : there) {
            if (!used.contains(name)) {
                throw new UnreadableWork("has a part “" + folder + name + "” that the reel does not use");
            }
        }
    }

    private Set<String> namesIn(String folder) {
        return zip.names().stream()
                .filter(name -> name.startsWith(folder))
                .map(name -> name.substring(folder.length()))
                .collect(Collectors.toUnmodifiableSet());
    }

    private static byte[] named(WorkZip zip, String part, String sha256, long most) throws IOException {
        byte[] file = zip.read(part, most);
        if (!ContentName.of(file).equals(sha256)) {
            throw new UnreadableWork("has a part “" + part + "” that is not what its name says: it was changed");
        }
        return file;
    }

    private Reel document(String part) throws IOException {
        byte[] document = zip.read(part, LARGEST_DOCUMENT);
        try {
            return ReelDocument.read(document);
        } catch (UnreadableDocument e) {
            throw unreadable(part, e.isOfALaterVersion() ? ": it was saved by a later version of Dobbin" : "", e);
        }
    }

    /** Says where in the part it is, where that is known. */
    private static UnreadableWork unreadable(String part, String why, Exception failure) {
        Throwable root = failure instanceof JacksonException ? failure : failure.getCause();
        String path = root instanceof JacksonException json
                ? json.getPath().stream()
                        .map(step -> step.getPropertyName() == null
                                ? "[" + step.getIndex() + "]"
                                : "." + step.getPropertyName())
                        .collect(Collectors.joining())
                : "";
        String where = path.isEmpty() ? "" : ", at " + path.substring(path.startsWith(".") ? 1 : 0);
        return new UnreadableWork(
                "has a part “" + part + "” that cannot be read" + where + (why.isEmpty() ? outOfRange(root) : why),
                failure);
    }

    private static String outOfRange(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof OutOfRange range) {
                return ": " + range.field() + " " + range.getMessage();
            }
        }
        return "";
    }
}
