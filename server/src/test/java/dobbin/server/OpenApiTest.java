package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.edit.Edit;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The interface is built against ui/openapi.json: it must be what the server really offers. */
class OpenApiTest {
    private static final Path COMMITTED = Path.of("../ui/openapi.json");

    @RegisterExtension
    private static final RunningServer server = new RunningServer(RunningServer.DESCRIBED);

    @Test
    void theInterfaceIsBuiltAgainstWhatTheServerOffers() throws IOException {
        JsonNode offered = server.get("/v3/api-docs").json();
        if (Boolean.getBoolean("dobbin.write-openapi")) {
            JsonMapper pretty = JsonMapper.builder()
                    .enable(SerializationFeature.INDENT_OUTPUT)
                    .build();
            Files.writeString(COMMITTED, pretty.writeValueAsString(offered) + "\n");
        }
        assertThat(JsonMapper.shared().readTree(Files.readString(COMMITTED)))
                .as("ui/openapi.json is out of date: mvn test -pl core,ui,server -Dtest=OpenApiTest"
                        + " -Dsurefire.failIfNoSpecifiedTests=false -Ddobbin.write-openapi=true")
                .isEqualTo(offered);
        assertThat(offered.at("/components/schemas/Edit/oneOf").size())
                .as("every edit is described")
                .isEqualTo(Edit.class.getPermittedSubclasses().length);
    }
}
