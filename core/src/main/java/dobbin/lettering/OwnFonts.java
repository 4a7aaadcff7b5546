package dobbin.lettering;

import java.awt.Font;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;

/** Fonts of files that people brought, read when letters are drawn in them. The ones used last stay in memory. */
final class OwnFonts {
    /** The largest file is 32 MB; most are a tenth of one. */
    private static final int MOST_IN_MEMORY = 16;

    private final Map<String, Font> used = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Font> eldest) {
            return size() > MOST_IN_MEMORY;
        }
    };

    private final List<OwnTypeface.Files> places = new CopyOnWriteArrayList<>();

    OwnTypeface.Finding findIn(OwnTypeface.Files files) {
        places.add(files);
        return () -> places.remove(files);
    }

    Font read(byte[] file, String sha256) throws UnusableTypeface {
        synchronized (used) {
            Font known = used.get(sha256);
            if (known != null) {
                return known;
            }
        }
        Font font = TypefaceFile.read(file);
        synchronized (used) {
            used.put(sha256, font);
        }
        return font;
    }

    Optional<Font> find(String sha256) {
        synchronized (used) {
            Font known = used.get(sha256);
            if (known != null) {
                return Optional.of(known);
            }
        }
        return places.stream()
                .flatMap(place -> place.find(sha256).stream())
                .findFirst()
                .flatMap(file -> usable(file, sha256));
    }

    /** The file was checked when it was stored. If it was damaged since, it counts as missing. */
    private Optional<Font> usable(byte[] file, String sha256) {
        try {
            return Optional.of(read(file, sha256));
        } catch (UnusableTypeface e) {
            return Optional.empty();
        }
    }
}
