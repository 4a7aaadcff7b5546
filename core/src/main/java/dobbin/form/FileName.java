package dobbin.form;

import java.util.Locale;
import java.util.Set;

/** Names of files that any system takes. */
public final class FileName {
    private static final String REFUSED = "[\\p{Cntrl}/\\\\:*?\"<>|]";
    private static final String EDGES = "^[. ]+|[. ]+$";
    private static final Set<String> DEVICES = Set.of("con", "prn", "aux", "nul");
    private static final String NUMBERED_DEVICES = "(com|lpt)[0-9]";

    private FileName() {}

    /** @return the name with what some system refuses replaced; never empty */
    public static String safe(String name) {
        String safe = name.replaceAll(REFUSED, "-").replaceAll(EDGES, "");
        String device = safe.toLowerCase(Locale.ROOT).replaceAll("\\..*", "");
        return safe.isEmpty() || DEVICES.contains(device) || device.matches(NUMBERED_DEVICES) ? "_" + safe : safe;
    }
}
