package dobbin.server.access;

import dobbin.edit.EditRejected;
import dobbin.server.data.DataStore;
import dobbin.server.people.People;
import dobbin.server.people.SignedIn;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Routes for the owner of a reel and the rights of others. */
@RestController
class AccessController {
    private final Rights rights;
    private final AccessStore store;
    private final People people;
    private final TransactionTemplate transaction;
    private final DataStore data;
    private final ApplicationEventPublisher events;

    AccessController(
            Rights rights,
            AccessStore store,
            People people,
            TransactionTemplate transaction,
            DataStore data,
            ApplicationEventPublisher events) {
        this.events = events;
        this.rights = rights;
        this.store = store;
        this.people = people;
        this.transaction = transaction;
        this.data = data;
    }

    /** @param everyone what all may do who can sign in */
    record NewAccess(Right everyone, List<Access.Grant> people) {}

    @GetMapping("/api/reels/{id}/access")
    Access show(@PathVariable String id) {
        String person = SignedIn.name().orElse("");
        AccessStore.Row row = store.find(id, person).orElseThrow(() -> Rights.noReel(id));
        Right yours = rights.of(person, row);
        boolean owned = row.owner() != null && yours == Right.OWN;
        return new Access(
                row.owner(),
                yours,
                row.everyone(),
                owned ? store.given(id) : List.of(),
                owned ? others(row.owner()) : List.of());
    }

    /** Takes the place of what was given before. */
    @PutMapping("/api/reels/{id}/access")
    @Needs(Right.OWN)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void give(@PathVariable String id, @RequestBody NewAccess wanted) {
        String owner = store.find(id, "").map(AccessStore.Row::owner).orElse(null);
        if (owner == null) {
            throw new EditRejected("people", "may all do everything with this reel: it is everybody's");
        }
        check(wanted, Set.copyOf(others(owner)));
        transaction.executeWithoutResult(status -> store.set(id, wanted.everyone(), wanted.people()));
        data.force();
        events.publishEvent(new AccessChanged(id));
    }

    private static void check(NewAccess wanted, Set<String> known) {
        if (wanted.everyone() == Right.OWN) {
            throw new EditRejected("everyone", "may look or work, and not own");
        }
        Set<String> named = new HashSet<>();
        for (Access.Grant each : wanted.people()) {
            if (!known.contains(each.name())) {
                throw new EditRejected("people", "are not all known here: " + each.name());
            }
            if (each.right() == Right.OWN || each.right() == Right.NOTHING || !named.add(each.name())) {
                throw new EditRejected("people", "may look or work, each of them once");
            }
        }
    }

    private List<String> others(String owner) {
        return people.names().stream().filter(name -> !name.equals(owner)).toList();
    }
}
