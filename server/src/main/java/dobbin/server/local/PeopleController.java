package dobbin.server.local;

import dobbin.server.people.People;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Changes who may sign in, for whoever can read the data folder. */
@RestController
class PeopleController {
    static final String PATH = "/api/people";

    private final People people;
    private final LocalToken token;

    PeopleController(People people, LocalToken token) {
        this.people = people;
        this.token = token;
    }

    @PostMapping(path = PATH, produces = MediaType.TEXT_PLAIN_VALUE)
    String change(
            @RequestHeader(name = LocalToken.HEADER, defaultValue = "") String told, @RequestBody PeopleChange wanted) {
        token.check(told, PATH);
        return wanted.apply(people);
    }
}
