package dobbin.edit;

import dobbin.reel.Reel;

/** @param name 1 to 120 characters */
public record Rename(String name) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return reel.withName(name);
    }

    @Override
    public String title(Reel reel) {
        return "Rename";
    }
}
