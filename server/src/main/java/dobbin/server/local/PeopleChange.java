package dobbin.server.local;

import dobbin.server.people.People;
import dobbin.server.web.Refused;

/**
 * Something that is to be done about people, as a command asks for it.
 *
 * @param name whom it is about, or empty
 * @param hash of a new password, or empty
 */
record PeopleChange(Action action, String name, String hash) {
    /** The kinds of change. */
    enum Action {
        LIST,
        ADD,
        PASSWORD,
        REMOVE,
        CLEAR
    }

    /**
     * @return a sentence on what was done; of a list, a name a line
     * @throws Refused where it cannot be done
     */
    String apply(People people) {
        switch (action) {
            case LIST -> {
                return String.join("\n", people.names());
            }
            case ADD -> {
                people.add(name, hash);
                return name + " can sign in. An instance that asks for no names yet does so from its next start on.";
            }
            case PASSWORD -> {
                people.change(name, hash);
                return name + " has a new password, and has to sign in again.";
            }
            case REMOVE -> {
                people.remove(name);
                return name + " cannot sign in any more. The reels of " + name + " stay, and are there again if " + name
                        + " is added again.";
            }
            case CLEAR -> {
                people.clear();
                return "Nobody has a name any more. From its next start on Dobbin asks for none: there is one shelf for all.";
            }
            default -> throw new IllegalStateException(action.name());
        }
    }
}
