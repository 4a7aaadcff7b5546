package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.server.local.PeopleCommands;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;

/** People with names have a shelf each; what others may do with a reel, its owner says. */
class AccessTest {
    private static final String LOOK = "\"LOOK\"";
    private static final String WORK = "\"WORK\"";
    private static final String NOTHING = "\"NOTHING\"";

    @RegisterExtension
    private static final RunningServer server = new RunningServer(RunningServer.DESCRIBED).with("Mara", "Ebbe", "Ines");

    private Guest mara;
    private Guest ebbe;
    private Guest ines;
    private JsonNode reel;
    private String id;

    @BeforeEach
    void signIn() {
        mara = Guest.of(server, "Mara");
        ebbe = Guest.of(server, "Ebbe");
        ines = Guest.of(server, "Ines");
        reel = mara.reel("Tide");
        id = reel.get("id").asString();
    }

    private static String given(String name, String right) {
        return "{\"name\":\"%s\",\"right\":%s}".formatted(name, right);
    }

    private static List<String> shelf(Guest guest) {
        List<String> ids = new ArrayList<>();
        guest.get("/api/reels")
                .json()
                .get("reels")
                .forEach(each -> ids.add(each.get("id").asString()));
        return ids;
    }

    @Test
    void aReelIsOnTheShelfOfItsOwnerAlone() {
        assertThat(shelf(mara)).contains(id);
        assertThat(shelf(ebbe)).doesNotContain(id);
        assertThat(ebbe.get("/api/reels").json().get("total").asInt())
                .isEqualTo(shelf(ebbe).size());
        assertThat(mara.get("/api/session").json().get("name").asString()).isEqualTo("Mara");
    }

    /** Taken from the server's own description, so that no address is forgotten. */
    @Test
    void whateverIsAskedOfAnothersReelAnswersAsIfThereWereNone() {
        JsonNode paths = mara.get("/v3/api-docs").json().get("paths");
        String none = UUID.randomUUID().toString();
        List<String> asked = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : paths.properties()) {
            if (path.getKey().matches("/api/(reels|removed)/\\{id}.*")) {
                for (Map.Entry<String, JsonNode> verb : path.getValue().properties()) {
                    String method = verb.getKey().toUpperCase(java.util.Locale.ROOT);
                    Answer answer = ebbe.ask(method, filled(path.getKey(), id), "{}");
                    Answer ofNone = ebbe.ask(method, filled(path.getKey(), none), "{}");
                    assertThat(answer.status())
                            .as("%s %s", method, path.getKey())
                            .isEqualTo(404);
                    assertThat(answer.detail()).isEqualTo(ofNone.detail().replace(none, id));
                    asked.add(method + " " + path.getKey());
                }
            }
        }
        assertThat(asked).hasSizeGreaterThan(45);
        assertThat(mara.get("/api/reels/" + id).status()).isEqualTo(200);
    }

    private static String filled(String path, String id) {
        return path.replace("{id}", id).replaceAll("\\{[^}]+}", "1");
    }

    /** Requests that are about no reel, and answer the same whoever asks. A new address is one of these, or lies under a reel. */
    private static final Set<String> OPEN = Set.of(
            "/api/backup",
            "/api/clips/loop",
            "/api/clips/picks",
            "/api/counting-order",
            "/api/limits",
            "/api/palettes",
            "/api/palettes/read",
            "/api/palettes/strip",
            "/api/palettes/text",
            "/api/palettes/{palette}",
            "/api/people",
            "/api/pictures",
            "/api/reels",
            "/api/reels/empty",
            "/api/reels/file",
            "/api/removed",
            "/api/session",
            "/api/session/password",
            "/api/tries/{kind}",
            "/api/tries/{kind}/{place}",
            "/api/typefaces");

    /** These look for the reel themselves. */
    private static final Set<String> GUARDED_BY_THEMSELVES = Set.of(
            "/api/deliveries/{delivery}.gif",
            "/api/jobs/{id}",
            "/api/plates/{picture}.png",
            "/api/plates/{picture}/cells",
            "/api/plates/{picture}/cut",
            "/api/plates/{picture}/grid",
            "/api/plates/{picture}/pieces");

    @Test
    void everyAddressIsOpenOrGuarded() {
        List<String> known = new ArrayList<>();
        for (RequestMappingInfo mapping : server.bean(RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .keySet()) {
            known.addAll(mapping.getPatternValues());
        }
        assertThat(known)
                .filteredOn(path -> path.startsWith("/api/"))
                .hasSizeGreaterThan(60)
                .allSatisfy(path -> assertThat(OPEN.contains(path)
                                || GUARDED_BY_THEMSELVES.contains(path)
                                || path.matches("/api/(reels|removed)/\\{id}(/.*)?"))
                        .as(path)
                        .isTrue());
    }

    /** The gate goes by the address and not by what a handler calls its parts. */
    @Test
    void noWayOfWritingAnAddressLeadsPastTheGate() {
        for (String address : List.of("/api/reels/" + id, "/api//reels/" + id, "/api/reels/%s/".formatted(id))) {
            assertThat(ebbe.get(address).status()).as(address).isIn(400, 404);
        }
        String written = id.replace("-", "%2D");
        assertThat(ebbe.get("/api/reels/" + written).status()).isIn(400, 404);
        assertThat(mara.get("/api/reels/" + written).status()).isIn(200, 400);
    }

    @Test
    void whoMayLookSeesItAndChangesNothing() {
        assertThat(mara.give(reel, NOTHING, given("Ebbe", LOOK)).status()).isEqualTo(204);
        assertThat(shelf(ebbe)).contains(id);
        assertThat(shelf(ines)).doesNotContain(id);
        assertThat(ebbe.get("/api/reels/" + id).status()).isEqualTo(200);
        Answer refused = ebbe.rename(reel, "Mine now");
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.detail())
                .isEqualTo("You may look at this reel and not change it. Copy it to your shelf, and change the copy.");
        assertThat(ebbe.ask("DELETE", "/api/reels/" + id, "").status()).isEqualTo(403);
        assertThat(ebbe.give(reel, WORK, "").status()).isEqualTo(403);
        assertThat(mara.get("/api/reels/" + id).json().get("name").asString()).isEqualTo("Tide");
    }

    @Test
    void aCopyIsOnesOwn() {
        mara.give(reel, NOTHING, given("Ebbe", LOOK));
        JsonNode copy = ebbe.post("/api/reels/" + id + "/copies", "").json();
        assertThat(ebbe.rename(copy, "Ebb").status()).isEqualTo(200);
        assertThat(mara.get("/api/reels/" + copy.get("id").asString()).status()).isEqualTo(404);
    }

    @Test
    void whoMayWorkChangesItAndRemovesNothing() {
        mara.give(reel, NOTHING, given("Ebbe", WORK));
        assertThat(ebbe.rename(reel, "High tide").status()).isEqualTo(200);
        assertThat(mara.get("/api/reels/" + id).json().get("name").asString()).isEqualTo("High tide");
        Answer refused = ebbe.ask("DELETE", "/api/reels/" + id, "");
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.detail()).isEqualTo("Only its owner can do that.");
    }

    @Test
    void whatAllMayDoAndWhatOneMayBesides() {
        mara.give(reel, LOOK, given("Ines", WORK));
        assertThat(ebbe.rename(reel, "Mine").status()).isEqualTo(403);
        assertThat(ines.rename(reel, "Ours").status()).isEqualTo(200);
        mara.give(reel, NOTHING, "");
        assertThat(ines.get("/api/reels/" + id).status()).isEqualTo(404);
        assertThat(shelf(ebbe)).doesNotContain(id);
    }

    @Test
    void theOwnerAloneIsToldWhoMayWhat() {
        mara.give(reel, NOTHING, given("Ebbe", LOOK));
        JsonNode own = mara.get("/api/reels/" + id + "/access").json();
        assertThat(own.toString())
                .isEqualTo(
                        "{\"owner\":\"Mara\",\"yours\":\"OWN\",\"everyone\":\"NOTHING\",\"people\":[{\"name\":\"Ebbe\","
                                + "\"right\":\"LOOK\"}],\"names\":[\"Ebbe\",\"Ines\"]}");
        JsonNode others = ebbe.get("/api/reels/" + id + "/access").json();
        assertThat(others.get("yours").asString()).isEqualTo("LOOK");
        assertThat(others.get("people")).isEmpty();
        assertThat(others.get("names")).isEmpty();
    }

    @Test
    void whatCannotBeGivenIsRefusedAndNothingIsChanged() {
        mara.give(reel, NOTHING, given("Ebbe", LOOK));
        for (String people : List.of(
                given("Nobody", LOOK),
                given("Mara", LOOK),
                given("Ines", "\"OWN\""),
                given("Ines", LOOK) + "," + given("Ines", WORK))) {
            assertThat(mara.give(reel, NOTHING, people).status()).as(people).isEqualTo(422);
        }
        assertThat(mara.give(reel, "\"OWN\"", "").status()).isEqualTo(422);
        assertThat(ebbe.get("/api/reels/" + id).status()).isEqualTo(200);
    }

    @Test
    void whatWasRemovedIsSeenByItsOwnerAlone() {
        mara.give(reel, WORK, "");
        mara.ask("DELETE", "/api/reels/" + id, "");
        assertThat(ebbe.get("/api/removed").json().get("reels").toString()).doesNotContain(id);
        assertThat(mara.get("/api/removed").json().get("reels").toString()).contains(id);
        ebbe.ask("DELETE", "/api/removed", "");
        assertThat(ebbe.ask("DELETE", "/api/removed/" + id, "").status()).isEqualTo(403);
        assertThat(mara.post("/api/reels/" + id + "/restore", "").status()).isEqualTo(200);
    }

    @Test
    void deliveriesAndJobsAreOfTheReel() {
        JsonNode asked = mara.post("/api/reels/" + id + "/deliveries", "{\"name\":\"Tide\"}")
                .json();
        String job = asked.get("id").asString();
        assertThat(ebbe.get("/api/jobs/" + job).status()).isEqualTo(404);
        assertThat(ebbe.ask("DELETE", "/api/jobs/" + job, "").status()).isEqualTo(404);
        String file = "/api/deliveries/" + mara.ended(asked).get("result").asString() + ".gif";
        assertThat(mara.get(file).status()).isEqualTo(200);
        assertThat(ebbe.get(file).status()).isEqualTo(404);
    }

    @Test
    void whoHasManyJobsUnderWayWaitsAndNobodyElseDoes() {
        for (int i = 0; i < 32; i++) {
            server.sql("INSERT INTO job (id, reel, kind, title, whose, request) VALUES ('mine " + i + "', '" + id
                    + "', 'delivery', 'Tide', 'Mara', '{}')");
        }
        String path = "/api/reels/" + id + "/deliveries";
        Answer refused = mara.post(path, "{\"name\":\"Tide\"}");
        assertThat(refused.status()).isEqualTo(429);
        assertThat(refused.detail())
                .isEqualTo("You have 32 jobs under way. Wait for some of them, or stop some, then do this again.");
        mara.give(reel, WORK, "");
        assertThat(ebbe.ended(ebbe.post(path, "{\"name\":\"Tide\"}").json())
                        .get("state")
                        .asString())
                .isEqualTo("DONE");
        assertThat(mara.ask("DELETE", "/api/jobs/mine 0".replace(" ", "%20"), "")
                        .status())
                .isEqualTo(200);
        assertThat(mara.ended(mara.post(path, "{\"name\":\"Tide\"}").json())
                        .get("state")
                        .asString())
                .isEqualTo("DONE");
    }

    @Test
    void aNamedPaletteIsOnesOwn() {
        String palette = mara.post("/api/palettes", "{\"name\":\"Dusk\",\"colors\":[\"102030\"]}")
                .json()
                .get("id")
                .asString();
        assertThat(ebbe.get("/api/palettes").json().toString()).doesNotContain(palette);
        assertThat(ebbe.ask("DELETE", "/api/palettes/" + palette, "").status()).isEqualTo(404);
        assertThat(mara.get("/api/palettes").json().toString()).contains(palette);
    }

    @Test
    void aReelFromBeforePeopleHadNamesIsEverybodys() {
        server.sql("UPDATE reel SET owner = NULL WHERE id = '" + id + "'");
        assertThat(shelf(ebbe)).contains(id);
        assertThat(ebbe.rename(reel, "Ours").status()).isEqualTo(200);
        assertThat(mara.give(reel, LOOK, "").detail()).contains("it is everybody's");
    }

    @Test
    void nothingTellsWhetherANameIsKnown() {
        Answer unknown = Guest.signingIn(server, "Nobody", "the lamp of Nobody");
        Answer wrong = Guest.signingIn(server, "Ines", "the lamp of Mara");
        assertThat(unknown.status()).isEqualTo(403);
        assertThat(unknown.detail()).isEqualTo("Nobody has that name with that password.");
        assertThat(wrong.detail()).isEqualTo(unknown.detail());
    }

    @Test
    void onesPasswordIsChangedByWhoKnowsItAndEndsTheOtherSessions() {
        assertThat(changed("the lamp of Mara", "three gulls on a rock").detail())
                .isEqualTo("That is not your password now.");
        assertThat(changed("the lamp of Ebbe", "password1").detail())
                .isEqualTo("This password is among the first that are guessed. Take some words that do not belong"
                        + " together.");
        Guest elsewhere = Guest.of(server, "Ebbe");
        Answer changed = changed("the lamp of Ebbe", "three gulls on a rock");
        assertThat(changed.status()).isEqualTo(204);
        assertThat(elsewhere.get("/api/reels").status()).isEqualTo(401);
        assertThat(Guest.signingIn(server, "Ebbe", "the lamp of Ebbe").status()).isEqualTo(403);
        assertThat(Guest.signingIn(server, "Ebbe", "three gulls on a rock").status())
                .isEqualTo(204);
        assertThat(hash("Ebbe")).startsWith("{bcrypt}").doesNotContain("gulls");
        assertThat(server.sql("UPDATE users SET password = '{noop}the lamp of Ebbe' WHERE username = 'Ebbe'"))
                .isEqualTo(1);
    }

    private static String hash(String name) {
        return server.bean(JdbcTemplate.class)
                .queryForObject("SELECT password FROM users WHERE username = ?", String.class, name);
    }

    private Answer changed(String before, String password) {
        return ebbe.post(
                "/api/session/password", "{\"before\":\"%s\",\"password\":\"%s\"}".formatted(before, password));
    }

    @Test
    void whoeverIsRemovedOrGetsAnotherPasswordIsOutAtOnce() throws IOException {
        server.sql("UPDATE users SET password = '{noop}another lamp' WHERE username = 'Ines'");
        assertThat(ines.get("/api/reels").status()).isEqualTo(401);
        Guest again = Guest.signedIn(server, "Ines", "another lamp");
        assertThat(again.get("/api/reels").status()).isEqualTo(200);
        user("remove", "Ines");
        assertThat(again.get("/api/reels").status()).isEqualTo(401);
        server.sql("INSERT INTO users (username, password, enabled) VALUES ('Ines', '{noop}the lamp of Ines', TRUE)");
        server.sql("INSERT INTO authorities (username, authority) VALUES ('Ines', 'PERSON')");
        assertThat(ines.get("/api/reels").status()).isEqualTo(200);
    }

    private static String user(String action, String name) throws IOException {
        return PeopleCommands.run(Optional.empty(), server.data(), action, name);
    }

    /** A picture is named by its hash, and who knows that has no right to it yet. */
    @Test
    void whoKnowsTheHashOfAPictureGetsItOnlyWithAReelThatNamesIt() {
        byte[] file = RunningServer.png(new Size(40, 30), 0xFF123456);
        JsonNode still = mara.upload("Lamp.png", file).json().at("/stills/0");
        String picture = still.get("picture").asString();
        String plate = "/api/plates/" + picture + ".png";
        String add = "{\"type\":\"addStills\",\"after\":0,\"stills\":[" + still + "],\"gathering\":\"\"}";
        JsonNode hers = mara.reel("Lamp");
        assertThat(mara.get(plate).status()).isEqualTo(200);
        assertThat(mara.edit(hers, add).status()).isEqualTo(200);

        Answer refused = ebbe.get(plate);
        assertThat(refused.status()).isEqualTo(404);
        assertThat(refused.detail()).isEqualTo("There is no picture " + picture + ".");
        String finding = "{\"tolerancePercent\":10,\"join\":3,\"columnsFirst\":false}";
        for (String part : List.of("grid", "pieces")) {
            assertThat(ebbe.post("/api/plates/" + picture + "/" + part, finding).status())
                    .isEqualTo(404);
        }
        JsonNode his = ebbe.reel("Guess");
        assertThat(ebbe.edit(his, add).detail()).isEqualTo("picture was not uploaded in that size: " + picture);

        mara.give(hers, LOOK, "");
        assertThat(ebbe.get(plate).status()).isEqualTo(200);
        assertThat(ebbe.edit(his, add).status()).isEqualTo(200);
        mara.give(hers, NOTHING, "");
        assertThat(ebbe.get(plate).status()).as("his own reel names it now").isEqualTo(200);
        assertThat(ines.get(plate).status()).isEqualTo(404);
        ines.upload("Same.png", file);
        assertThat(ines.get(plate).status()).as("whoever has the file itself").isEqualTo(200);
    }
}
