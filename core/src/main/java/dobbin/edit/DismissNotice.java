package dobbin.edit;

import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;

/**
 * Notes that a notice was read and is not to be shown again.
 *
 * @param notice its key, up to 200 characters
 */
public record DismissNotice(String notice) implements Edit {
    private static final int MAX_KEY_LENGTH = 200;

    @Override
    public Reel applyTo(Reel reel) {
        if (notice == null || notice.isEmpty() || notice.length() > MAX_KEY_LENGTH) {
            throw new OutOfRange("notice", "must have 1 to " + MAX_KEY_LENGTH + " characters");
        }
        List<String> dismissed = new ArrayList<>(reel.dismissed());
        dismissed.remove(notice);
        dismissed.add(notice);
        int tooMany = Math.max(0, dismissed.size() - Ranges.MAX_DISMISSED);
        return reel.withDismissed(dismissed.subList(tooMany, dismissed.size()));
    }

    @Override
    public String title(Reel reel) {
        return "Dismiss a notice";
    }
}
