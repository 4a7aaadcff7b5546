package dobbin.edit;

/** On which frames a change of pose counts. */
public enum Scope {
    /** On this one; the glides to its neighbors bend. */
    HERE,
    /** On this one and all poses after it. */
    FROM_HERE,
    /** On all poses. */
    EVERYWHERE
}
