package dobbin.server.access;

import dobbin.server.people.People;
import dobbin.server.people.SignedIn;
import dobbin.server.web.NotFound;
import dobbin.server.web.Refused;
import dobbin.server.work.Requester;
import java.util.Collection;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Who may do what. Where people have no names, everybody may do everything. */
@Component
public class Rights {
    private final AccessStore store;
    private final People people;

    Rights(AccessStore store, People people) {
        this.store = store;
        this.people = people;
    }

    /** The same whether there is no such reel or whoever asks must not know of it. */
    public static NotFound noReel(String id) {
        return new NotFound(
                "There is no reel " + id + " here. It may have been removed; the shelf shows what there is.");
    }

    /** @param person null where people have no names, or nobody has signed in */
    public Right of(String person, String reel) {
        if (!people.areNamed()) {
            return Right.OWN;
        }
        return person == null
                ? Right.NOTHING
                : store.find(reel, person).map(row -> of(person, row)).orElse(Right.NOTHING);
    }

    /** @param row what the database says of the reel and that person */
    Right of(String person, AccessStore.Row row) {
        boolean owns = !people.areNamed() || row.owner() == null || row.owner().equals(person);
        return owns ? Right.OWN : row.everyone().or(row.own());
    }

    /** Of whoever asks, in the thread of the request. */
    public Right ofWhoAsks(String reel) {
        return of(SignedIn.name().orElse(null), reel);
    }

    /**
     * Which pictures and typeface files whoever is worked for may use: those they brought, and those of reels that they may look at. Who
     * knows the hash of another does not get it.
     */
    public Set<String> filesOfWhoIsWorkedFor(Collection<String> files) {
        String person = Requester.now();
        if (!people.areNamed() || person.isEmpty() || files.isEmpty()) {
            return Set.copyOf(files);
        }
        Set<String> found = store.files(person, files);
        // What reels of earlier versions name is noted some minutes after the first start.
        return found.size() < files.size() && store.mayLookAtUnnoted(person) ? Set.copyOf(files) : found;
    }

    /**
     * @throws NotFound where whoever asks must not know of the reel
     * @throws Refused where the reel may be looked at, and this is more
     */
    public void check(String reel, Right least) {
        Right right = ofWhoAsks(reel);
        if (right == Right.NOTHING) {
            throw noReel(reel);
        }
        if (!right.includes(least)) {
            throw new Refused(
                    HttpStatus.FORBIDDEN,
                    least == Right.OWN
                            ? "Only its owner can do that."
                            : "You may look at this reel and not change it. Copy it to your shelf, and change the copy.");
        }
    }
}
