package dobbin.server;

import org.junit.jupiter.api.Tag;

@Tag("long")
class NeighborsOnH2ServerTest extends NeighborsContract {
    NeighborsOnH2ServerTest() {
        super(H2Server.started().newDatabase());
    }
}
